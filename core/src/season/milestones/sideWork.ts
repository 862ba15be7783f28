import { addDays, type Day, earlierOf, laterOf } from '../../calendar/index.ts';
import { needsBees, netsAgainst } from '../../crops/index.ts';
import { laterQuantile } from '../../place/index.ts';
import { isCover } from '../windows/index.ts';
import { about, sameReason } from './chain.ts';
import type { MilestoneContext } from './context.ts';
import type { Milestone, MilestoneKind } from './milestone.ts';

/** Days before the sowing by which supports stand. Common practice, no source: supports go in before the seed. */
const SUPPORT_LEAD_DAYS = 3;
/** Days from the first flowers to the first pick of fruit that needs bees. From memory: cucurbits 10 to 20. */
const FLOWER_TO_PICK_DAYS = 16;
/** Days to the side-dressing of a heavy feeder that has no rhythm of its own. From memory. */
const FEED_ONCE_DAYS = 28;
/** Days from planting garlic to its mulch. Common practice, no source. */
const MULCH_AFTER_DAYS = 21;
/** The share of years in which a late frost is worth keeping covers ready for. */
const COVER_RISK = 0.1;

/** Supports, nets, covers and feeding: what is done beside the plant's own course. */
export function sideWork(context: MilestoneContext): void {
  const { chain, plan } = context;
  const { crop, cropping } = plan;
  const stepOf = (kind: MilestoneKind): Milestone | undefined =>
    chain.steps.find((step) => step.kind === kind);
  const out = stepOf('setOut') ?? stepOf('sow');
  if (!out || isCover(crop)) return;

  if (crop.support !== 'none' && crop.support !== 'hill') {
    const best = addDays(out.on, -SUPPORT_LEAD_DAYS);
    const reason = { code: 'supportFirst', days: SUPPORT_LEAD_DAYS, from: out.on } as const;
    chain.add('support', { earliest: addDays(out.on, -14), best, latest: out.on }, sameReason(reason));
  }
  if (crop.net && netsAgainst.includes(crop.net)) nets(context, out.on, stepOf('firstPick')?.on);
  covers(context, out.on);
  if (cropping !== 'overwinter') feeding(context, stepOf('emerge')?.on ?? out.on, out.on);
}

function nets({ chain, plan }: MilestoneContext, out: Day, pick: Day | undefined): void {
  const { crop } = plan;
  // Birds come for ripe fruit, the others for young plants.
  const isFruitNet = crop.net === 'birds' && crop.harvest.style === 'fruit';
  if (isFruitNet) return;
  const on = chain.add('netOn', about(out, 0, 7), sameReason({ code: 'netFrom', from: out })).on;
  if (!pick || !needsBees(crop)) return;
  const best = laterOf(addDays(on, 7), addDays(pick, -FLOWER_TO_PICK_DAYS));
  const reason = { code: 'netOffAtFlower', days: FLOWER_TO_PICK_DAYS, pick } as const;
  chain.add('netOff', about(best, 5, 3), sameReason(reason));
}

function covers({ chain, plan, almanac }: MilestoneContext, out: Day): void {
  const { crop, cropping, year } = plan;
  if (cropping === 'overwinter') {
    const best = addDays(out, MULCH_AFTER_DAYS);
    chain.add('mulch', about(best, 7, 21), sameReason({ code: 'mulchWinter', from: out }));
    return;
  }
  if (cropping !== 'spring' || crop.hardiness === 'hardy') return;
  const seasonDay = laterQuantile(almanac.lastFreeze(crop.frostDamageC), COVER_RISK);
  const until = seasonDay === null ? null : almanac.day(year, Math.ceil(seasonDay));
  if (until === null || until <= out) return;
  const reason = { code: 'coverUntil', until, risk: COVER_RISK } as const;
  chain.add('cover', { earliest: out, best: out, latest: until }, sameReason(reason));
}

function feeding({ chain, plan }: MilestoneContext, growing: Day, out: Day): void {
  const { feedEveryDays, feeding: class_ } = plan.crop;
  const from = laterOf(growing, out);
  if (feedEveryDays !== undefined) {
    const best = addDays(from, feedEveryDays);
    chain.add('feed', about(best, 3, 7), sameReason({ code: 'feedEvery', days: feedEveryDays, from }));
  } else if (class_ === 'heavy') {
    const pick = chain.steps.find((step) => step.kind === 'firstPick')?.on;
    const best = earlierOf(addDays(from, FEED_ONCE_DAYS), pick ?? '9999-12-31');
    chain.add('feed', about(best, 7, 10), sameReason({ code: 'feedOnce', days: FEED_ONCE_DAYS, from }));
  }
}
