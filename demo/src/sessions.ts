import type { SessionInput } from '@unity-acre/contract/work';

export interface DemoSession extends Omit<SessionInput, 'leadId' | 'taskIds'> {
  lead: string;
  /** how many of the garden's volunteers have signed up */
  coming: number;
  /** how many open tasks it takes up */
  tasks: number;
  group?: string;
}

const session = (
  title: string,
  on: string,
  from: string,
  to: string,
  lead: string,
  over: Partial<DemoSession>,
): DemoSession => ({
  title,
  on,
  from,
  to,
  lead,
  meetAt: 'The shed',
  capacity: 15,
  children: true,
  note: '',
  coming: 6,
  tasks: 0,
  ...over,
});

/** Work sessions of this spring. */
export const sessions: DemoSession[] = [
  session('Saturday work morning', '2026-04-18', '09:00', '11:30', 'Tobias Wren', { coming: 11 }),
  session('Saturday work morning', '2026-05-02', '09:00', '11:30', 'Amparo Lindqvist', { coming: 8 }),
  session('Saturday work morning', '2026-05-16', '09:00', '11:30', 'Tobias Wren', { coming: 13 }),
  session('Weekday evening', '2026-05-21', '17:30', '19:30', 'Dell Okafor-Hayes', {
    coming: 2,
    tasks: 2,
    meetAt: 'The tap',
    note: 'Bring gloves. Water seedlings in before you leave.',
  }),
  session('Saturday work morning', '2026-05-23', '09:00', '11:30', 'Tobias Wren', {
    coming: 3,
    tasks: 9,
    note: 'Peppers and tomatoes go out if the sky is overcast. Bring a trowel and water.',
  }),
  session('Room 4 sows beans', '2026-05-27', '10:00', '11:00', 'Amparo Lindqvist', {
    capacity: 26,
    coming: 1,
    tasks: 1,
    group: 'Room 4, Alder Falls Primary',
    meetAt: 'School bed 1',
    note: 'Large seeds for small hands. Two adults besides the teacher.',
  }),
  session('Saturday work morning', '2026-05-30', '09:00', '11:30', 'Amparo Lindqvist', {
    coming: 4,
    tasks: 6,
  }),
  session('Weekday evening', '2026-06-04', '17:30', '19:30', 'Dell Okafor-Hayes', {
    coming: 0,
    meetAt: 'The tap',
    children: false,
  }),
  session('Saturday work morning', '2026-06-06', '09:00', '11:30', 'Tobias Wren', { coming: 0 }),
  session('Weekday evening', '2026-06-11', '17:30', '19:30', 'Dell Okafor-Hayes', {
    coming: 0,
    meetAt: 'The tap',
    children: false,
  }),
  session('Saturday work morning', '2026-06-13', '09:00', '11:30', 'Amparo Lindqvist', { coming: 0 }),
  session('Wednesday afternoon', '2026-05-20', '15:00', '17:00', 'Amparo Lindqvist', {
    coming: 4,
    tasks: 4,
    capacity: 6,
    note: 'Sowing first, then whatever the sky allows.',
  }),
];
