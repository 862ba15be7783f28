import { expect, it } from 'vitest';
import { measureIn } from './measureIn.ts';

const [feet, metres] = [measureIn('imperial'), measureIn('metric')];

it('writes temperatures, and how far they lie apart, in the degrees of the garden', () => {
  expect([feet.degrees(0), metres.degrees(0), feet.temperature(-40)]).toEqual(['32°', '0°', '-40 °F']);
  expect([feet.degreesApart(1.5), metres.degreesApart(1.5)]).toEqual(['3°', '2°']);
});

it('writes how long something takes in minutes, from an hour on in hours', () => {
  expect([0, 59, 60, 90, 605].map(feet.duration)).toEqual(['0 min', '59 min', '1 h', '1.5 h', '10.1 h']);
});
