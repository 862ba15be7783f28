import type { Role } from '@unity-acre/contract';
import {
  BookOpen,
  CalendarDays,
  type LucideIcon,
  Map as MapIcon,
  Rows3,
  Shovel,
  Sprout,
  UsersRound,
} from 'lucide-react';

/** Somewhere one can go, by its key in the rail's words. */
interface Way {
  to: string;
  may: readonly Role[];
}

const crew: Role[] = ['coordinator', 'crewLead', 'volunteer'];
const leads: Role[] = ['coordinator', 'crewLead'];
const coordinator: Role[] = ['coordinator'];

export interface Place extends Way {
  name: 'thisWeek' | 'ground' | 'season' | 'crew' | 'sessions' | 'log' | 'seedBox';
  icon: LucideIcon;
  /** in the bar of a phone, not behind "More" */
  onPhone: boolean;
}

/** The places on the rail, named by what people come to do. */
export const places: readonly Place[] = [
  { name: 'thisWeek', to: '/', icon: CalendarDays, may: [...crew, 'receiver'], onPhone: true },
  { name: 'ground', to: '/ground', icon: MapIcon, may: crew, onPhone: true },
  { name: 'season', to: '/season', icon: Rows3, may: crew, onPhone: false },
  { name: 'crew', to: '/crew', icon: UsersRound, may: leads, onPhone: false },
  { name: 'sessions', to: '/sessions', icon: Shovel, may: crew, onPhone: true },
  { name: 'log', to: '/log', icon: BookOpen, may: crew, onPhone: true },
  { name: 'seedBox', to: '/seeds', icon: Sprout, may: leads, onPhone: false },
];

export interface GardenWay extends Way {
  name: 'garden' | 'rules' | 'messages' | 'tools';
}

/** What stands behind the garden's name. */
export const gardenWays: readonly GardenWay[] = [
  { name: 'garden', to: '/garden', may: crew },
  { name: 'rules', to: '/garden/rules', may: crew },
  { name: 'messages', to: '/messages', may: coordinator },
  { name: 'tools', to: '/tools', may: coordinator },
];

export interface OwnWay extends Way {
  name: 'myTimes' | 'myPlots' | 'myHours' | 'account';
}

/** What stands behind one's own name. */
export const ownWays: readonly OwnWay[] = [
  { name: 'myTimes', to: '/mine/times', may: crew },
  { name: 'myPlots', to: '/mine/plots', may: crew },
  { name: 'myHours', to: '/mine/hours', may: crew },
  { name: 'account', to: '/account', may: [...crew, 'receiver'] },
];

/** Of several ways, those somebody may go. */
export const waysOf = <One extends Way>(ways: readonly One[], role: Role): One[] =>
  ways.filter(({ may }) => may.includes(role));
