import { fetchedPart } from '../../kit/fetchedPart.tsx';

const ChoicesOfLook = fetchedPart(async () => (await import('./ChoicesOfLook.tsx')).ChoicesOfLook);

/** Language and colours. They are wanted rarely, and come after what the screen is for; their place is kept. */
export const Choices = () => (
  <div className="min-h-[4.9rem]">
    <ChoicesOfLook />
  </div>
);
