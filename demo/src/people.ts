import type { Role } from '@unity-acre/contract';

/* All invented. */

export const demoPassword = 'millrace garden';

export interface DemoPerson {
  name: string;
  role: Role;
  household?: string;
  headcount?: number;
  waitingSince?: string;
  /** those who can sign in */
  signIn?: string;
}

/** Every other grown person of a household can be written to, and has not been invited yet. */
export function mailOf({ name, household: home, role }: DemoPerson): string | null {
  if (!home || role !== 'volunteer' || name.length % 2 === 0) return null;
  return `${name.split(' ')[0]!.toLowerCase()}@households.example`;
}

const household = (surname: string, ...firsts: string[]): DemoPerson[] =>
  firsts.map((first) => ({
    name: `${first} ${surname}`,
    role: 'volunteer',
    household: `${surname} household`,
  }));

export const people: DemoPerson[] = [
  {
    name: 'Ines Calloway',
    role: 'coordinator',
    household: 'Calloway household',
    signIn: 'coordinator@millrace.example',
  },
  { name: 'Tobias Wren', role: 'crewLead', signIn: 'lead@millrace.example' },
  { name: 'Amparo Lindqvist', role: 'crewLead' },
  { name: 'Dell Okafor-Hayes', role: 'crewLead' },
  {
    name: 'Nadia Brightwater',
    role: 'volunteer',
    household: 'Brightwater household',
    signIn: 'volunteer@millrace.example',
  },
  { name: 'Alder Falls Pantry', role: 'receiver', signIn: 'receiver@millrace.example' },
  { name: 'Alder Falls School Kitchen', role: 'receiver' },
  { name: 'Room 4, Alder Falls Primary', role: 'volunteer', headcount: 22 },
  { name: 'Tuesday crew', role: 'volunteer', headcount: 6 },
  ...household('Calloway', 'Rufus'),
  ...household('Brightwater', 'Jonah', 'Pia'),
  ...household('Marchetti-Boone', 'Livia', 'Sol'),
  ...household('Tanager', 'Edith', 'Wallace'),
  ...household('Quispe-Doyle', 'Yara', 'Finn'),
  ...household('Hollin', 'Bram', 'Odette', 'June'),
  ...household('Vantongeren', 'Mieke'),
  ...household('Abara', 'Chidi', 'Nkem'),
  ...household('Sorrel', 'Gus'),
  ...household('Petrov-Lane', 'Anya', 'Milo'),
  ...household('Fennimore', 'Ruth', 'Casper'),
  ...household('Ibarra', 'Lucia', 'Tomas'),
  ...household('Stillwell', 'Harriet'),
  ...household('Nakagawa-Reed', 'Emi', 'Otis'),
  { name: 'Perla Dunmore', role: 'volunteer', waitingSince: '2025-03-02' },
  { name: 'Kit Aldous', role: 'volunteer', waitingSince: '2025-08-17' },
  { name: 'Zeno Farrow', role: 'volunteer', waitingSince: '2026-02-11' },
  { name: 'Imani Brook', role: 'volunteer', waitingSince: '2026-04-05' },
];

/** The households that hold the plots, in the order of the plots. */
export const plotHolders = [
  'Rufus Calloway',
  'Nadia Brightwater',
  'Livia Marchetti-Boone',
  'Edith Tanager',
  'Yara Quispe-Doyle',
  'Bram Hollin',
  'Mieke Vantongeren',
  'Chidi Abara',
  'Gus Sorrel',
  'Anya Petrov-Lane',
  'Ruth Fennimore',
  'Lucia Ibarra',
];
