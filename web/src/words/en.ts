import problem from '@unity-acre/contract/wire/words.en.json' with { type: 'json' };
import crew from '../crew/words.en.json' with { type: 'json' };
import harvest from '../harvest/words.en.json' with { type: 'json' };
import kit from '../kit/words.en.json' with { type: 'json' };
import log from '../log/words.en.json' with { type: 'json' };
import place from '../place/words.en.json' with { type: 'json' };
import shell from '../shell/words.en.json' with { type: 'json' };
import work from '../work/words.en.json' with { type: 'json' };
import workKinds from '../work/workKinds.en.json' with { type: 'json' };

export const words = { crew, harvest, kit, log, place, problem, shell, work, workKinds };
