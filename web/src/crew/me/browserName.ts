/* The first that fits: most browsers name others after themselves. */
const browsers: [name: string, sign: RegExp][] = [
  ['Edge', /\bEdg(e|A|iOS)?\//],
  ['Opera', /\bOPR\//],
  ['Samsung Internet', /\bSamsungBrowser\//],
  ['Firefox', /\b(Firefox|FxiOS)\//],
  ['Chrome', /\b(Chrome|CriOS|HeadlessChrome)\//],
  ['Safari', /\bSafari\//],
];
const systems: [name: string, sign: RegExp][] = [
  ['iPhone', /iPhone/],
  ['iPad', /iPad/],
  ['Android', /Android/],
  ['Windows', /Windows/],
  ['Mac', /Mac OS X|Macintosh/],
  ['Chromebook', /CrOS/],
  ['Linux', /Linux/],
];

const named = (list: [string, RegExp][], agent: string) => list.find(([, sign]) => sign.test(agent))?.[0];

/** What a browser calls itself, in words: "Firefox, Android"; empty where it says nothing that is known. */
export const browserName = (agent: string): string =>
  [named(browsers, agent), named(systems, agent)].filter(Boolean).join(', ');
