import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { handbook } from './src/kit/help/handbook.ts';
import en from './src/kit/help/words.en.json' with { type: 'json' };
import es from './src/kit/help/words.es.json' with { type: 'json' };

const docs = join(import.meta.dirname, '../docs');
for (const [language, help] of Object.entries({ en, es }))
  writeFileSync(join(docs, `handbook.${language}.md`), handbook(help));
