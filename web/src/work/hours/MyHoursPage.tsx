import { Hours } from './HoursPage.tsx';

/** What one has given oneself. */
export default function MyHoursPage() {
  return <Hours mine />;
}
