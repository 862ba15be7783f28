/*
 * Makes the fonts that every first visit fetches (web/src/kit/fonts) from the whole ones: the letters of English and Spanish, in
 * the weights that are used. Other letters still come from the whole ones, where a page has any (fonts.css).
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { root } from './setUp.mjs';

const folder = join(root, 'web/src/kit/fonts');
const { resolve } = createRequire(join(root, 'web/package.json'));

const ascii = Array.from({ length: 95 }, (_, i) => String.fromCharCode(0x20 + i)).join('');
/** What both languages are written with, and the signs of measures. */
const letters = `${ascii}ÁÉÍÑÓÚÜáéíñóúü¿¡ªº«»‘’“”–—…·•°×±²³½¼¾−\u00a0\u202f`;
/** Pairs and figures of one width are used; small capitals and other forms of letters are not. */
const keepFeatures = ['kern', 'liga', 'tnum', 'lnum', 'mark', 'mkmk', 'ccmp', 'locl'];

/**
 * A font that most systems have under one of these names, drawn as large as the font that is still on its way, so that nothing
 * moves when that comes. `size`: how much wider the one that comes sets the widest of the first titles, measured in Chromium;
 * `ascent` and `descent`: its own, in parts of its size.
 */
const standInFace = (family, weight, { names, size, ascent, descent }) => `@font-face {
  font-family: "${family} Stand-in";
  font-style: normal;
  font-weight: ${weight};
  src: ${names.map((name) => `local("${name}")`).join(', ')};
  size-adjust: ${percent(size)};
  ascent-override: ${percent(ascent / size)};
  descent-override: ${percent(descent / size)};
  line-gap-override: 0%;
}
`;
const percent = (share) => `${Math.round(share * 1000) / 10}%`;

const fonts = [
  {
    name: 'text.woff2',
    whole:
      '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
    family: 'Atkinson Hyperlegible Next Variable',
    weights: { min: 400, max: 700 },
  },
  {
    name: 'titles.woff2',
    whole: '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff2',
    family: 'Bricolage Grotesque',
    weights: { min: 700, max: 700 },
    standIn: {
      names: ['Arial Bold', 'Arial-BoldMT', 'Liberation Sans Bold', 'Helvetica Bold'],
      ...{ size: 1.05, ascent: 0.93, descent: 0.27 },
    },
  },
];

const code = (letter) => letter.codePointAt(0).toString(16).toUpperCase().padStart(4, '0');
const range = ['U+0020-007E', ...[...letters.slice(ascii.length)].map((letter) => `U+${code(letter)}`)].join(
  ', ',
);

const faces = [];
for (const { name, whole, family, weights, standIn } of fonts) {
  const isVariable = weights.min < weights.max;
  const made = await subsetFont(readFileSync(resolve(whole)), letters, {
    targetFormat: 'woff2',
    keepFeatures,
    ...(isVariable && { variationAxes: { wght: weights } }),
  });
  writeFileSync(join(folder, name), made);
  console.log(`${name}: ${made.length} bytes`);
  faces.push(`@font-face {
  font-family: "${family}";
  font-style: normal;
  font-display: swap;
  font-weight: ${isVariable ? `${weights.min} ${weights.max}` : weights.min};
  src: url(./${name}) format("woff2");
  unicode-range: ${range};
}
${standIn ? standInFace(family, weights.min, standIn) : ''}`);
}
writeFileSync(
  join(folder, 'fonts.css'),
  `/* Made by scripts/fonts.mjs. A letter that is not here comes from the whole fonts, which stand before. */
${faces.join('')}`,
);
