import problem from '@unity-acre/contract/wire/words.es.json' with { type: 'json' };
import crew from '../crew/words.es.json' with { type: 'json' };
import harvest from '../harvest/words.es.json' with { type: 'json' };
import kit from '../kit/words.es.json' with { type: 'json' };
import log from '../log/words.es.json' with { type: 'json' };
import place from '../place/words.es.json' with { type: 'json' };
import shell from '../shell/words.es.json' with { type: 'json' };
import work from '../work/words.es.json' with { type: 'json' };
import workKinds from '../work/workKinds.es.json' with { type: 'json' };

export const words = { crew, harvest, kit, log, place, problem, shell, work, workKinds };
