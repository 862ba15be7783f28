import { themes } from '../../preferences.ts';
import { Title } from '../screens/index.ts';
import { Acting } from './Acting.tsx';
import { Choosing } from './Choosing.tsx';
import { Typing } from './Typing.tsx';

/** Every control of the kit in all three sets of colours, for those who build with them. Not part of what is shipped. */
export default function KitPage() {
  return (
    <div className="flex flex-col gap-4">
      <Title>The kit</Title>
      <p>
        Every control, in all three sets of colors. What opens over the page takes the colors chosen in the
        rail.
      </p>
      {themes.map((theme) => (
        <section key={theme} data-theme={theme} aria-label={theme} className="bg-frost p-5 text-ink">
          <h2 className="furrow">{theme}</h2>
          <div className="grid items-start gap-8 lg:grid-cols-3">
            <Typing />
            <Choosing />
            <Acting />
          </div>
        </section>
      ))}
    </div>
  );
}
