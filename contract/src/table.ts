import type { Audience, Method, Role } from './wire/audience.ts';

const coordinator: readonly Role[] = ['coordinator'];
const leads: readonly Role[] = ['coordinator', 'crewLead'];
const crewMembers: readonly Role[] = ['coordinator', 'crewLead', 'volunteer'];
const members: readonly Role[] = ['coordinator', 'crewLead', 'volunteer', 'receiver'];

/** A route: how it is called, who may call it, and what it does. */
export interface TableLine {
  method: Method;
  /** Express path; a path with `:gardenId` belongs to that garden */
  path: string;
  may: Audience;
  summary: string;
  /** true where a change of an existing row must name its version in If-Match */
  versioned: boolean;
}

const line = (
  method: Method,
  path: string,
  may: Audience,
  summary: string,
  versioned = false,
): TableLine => ({ method, path, may, summary, versioned });

const garden = '/api/gardens/:gardenId';

/**
 * Every route and who may call it. What goes in and out stands in `routes`; this table alone is what the interface
 * needs to make a call, so that its first screen does without the schemas.
 */
export const table = {
  health: line('GET', '/api/health', 'anyone', 'Version and state of the database'),
  openapi: line('GET', '/api/openapi.json', 'anyone', 'This document'),
  me: line('GET', '/api/me', 'anyone', 'Who is asking'),
  setUp: line('POST', '/api/set-up', 'anyone', 'Set up the first garden and its coordinator'),
  signIn: line('POST', '/api/sign-in', 'anyone', 'Sign in'),
  signOut: line('POST', '/api/sign-out', 'signedIn', 'Sign out'),
  invitation: line('GET', '/api/invitations/:token', 'anyone', 'What an invitation says'),
  join: line('POST', '/api/invitations/:token', 'anyone', 'Accept an invitation'),
  garden: line('GET', garden, members, 'The garden and its today'),
  saveGarden: line('PUT', garden, coordinator, 'Change the garden', true),
  saveNormals: line('PUT', `${garden}/normals`, coordinator, 'Give monthly means of the climate', true),
  saveRules: line('PUT', `${garden}/rules`, coordinator, 'Change the house rules', true),
  importStation: line(
    'POST',
    `${garden}/station-record`,
    coordinator,
    'Read daily weather of a station from a CSV file',
  ),
  removeStation: line(
    'DELETE',
    `${garden}/station-record`,
    coordinator,
    "Go on without the station's record",
  ),
  weather: line('GET', `${garden}/weather`, crewMembers, 'Weather of the last days, and the forecast'),
  ownCrops: line('GET', `${garden}/crops`, members, "The garden's own crops and changes"),
  saveOwnCrop: line(
    'PUT',
    `${garden}/crops/:id`,
    coordinator,
    'Add a crop, or change one for this garden',
    true,
  ),
  removeOwnCrop: line('DELETE', `${garden}/crops/:id`, coordinator, 'Go back to the catalogue', true),
  cropFile: line('GET', `${garden}/crop-file`, crewMembers, 'The catalogue of the garden as a file'),
  importCrops: line('POST', `${garden}/crop-file`, coordinator, 'Read crops from a file'),
  setClock: line('PUT', `${garden}/clock`, coordinator, 'Move a hand-set clock'),
  beds: line('GET', `${garden}/beds`, members, 'Beds with their tenure by season'),
  saveBed: line('PUT', `${garden}/beds/:id`, coordinator, 'Add or change a bed', true),
  removeBed: line('DELETE', `${garden}/beds/:id`, coordinator, 'Remove a bed that nothing grows in', true),
  saveTenure: line(
    'PUT',
    `${garden}/beds/:bedId/tenure/:year`,
    coordinator,
    'Say who holds a bed in a season',
    true,
  ),
  landmarks: line('GET', `${garden}/landmarks`, members, 'Taps, sheds, hedges'),
  saveLandmark: line('PUT', `${garden}/landmarks/:id`, coordinator, 'Add or change a landmark', true),
  removeLandmark: line('DELETE', `${garden}/landmarks/:id`, coordinator, 'Remove a landmark', true),
  people: line('GET', `${garden}/people`, leads, 'People of the garden'),
  savePerson: line('PUT', `${garden}/people/:id`, coordinator, 'Add or change a person', true),
  removePerson: line('DELETE', `${garden}/people/:id`, coordinator, 'Remove a person', true),
  invite: line('POST', `${garden}/people/:id/invitation`, coordinator, 'Make an invitation'),
  plantings: line('GET', `${garden}/plantings`, crewMembers, 'Plantings of a season, reckoned'),
  savePlanting: line('PUT', `${garden}/plantings/:id`, coordinator, 'Plan or change a planting', true),
  savePlantings: line('POST', `${garden}/plantings`, coordinator, 'Plan several new plantings together'),
  removePlanting: line(
    'DELETE',
    `${garden}/plantings/:id`,
    coordinator,
    'Remove a planting nothing is logged of',
    true,
  ),
  tasks: line('GET', `${garden}/tasks`, crewMembers, 'Tasks of a season'),
  markTask: line('PUT', `${garden}/tasks/:id`, leads, 'Tick a task off, or take the tick back'),
  sessions: line('GET', `${garden}/sessions`, crewMembers, 'Work sessions'),
  saveSession: line('PUT', `${garden}/sessions/:id`, leads, 'Call or change a work session', true),
  removeSession: line('DELETE', `${garden}/sessions/:id`, leads, 'Call a work session off', true),
  signUp: line(
    'PUT',
    `${garden}/sessions/:id/sign-ups/:personId`,
    crewMembers,
    'Sign up: oneself, or anyone as a lead',
  ),
  signOff: line('DELETE', `${garden}/sessions/:id/sign-ups/:personId`, crewMembers, 'Take a sign-up back'),
  calendarAddress: line(
    'GET',
    `${garden}/calendar-address`,
    crewMembers,
    "The private address of one's sessions",
  ),
  makeCalendarAddress: line(
    'POST',
    `${garden}/calendar-address`,
    crewMembers,
    'Make a new private address; the old one ends',
  ),
  revokeCalendarAddress: line('DELETE', `${garden}/calendar-address`, crewMembers, 'End the private address'),
  calendar: line(
    'GET',
    '/api/calendar/:token',
    'anyone',
    "One's sessions as iCalendar, by the private address",
  ),
  entries: line('GET', `${garden}/entries`, crewMembers, 'The log book, newest first'),
  saveEntry: line(
    'PUT',
    `${garden}/entries/:id`,
    crewMembers,
    'Log something, or correct what one logged',
    true,
  ),
  removeEntry: line('DELETE', `${garden}/entries/:id`, crewMembers, 'Strike out what one logged', true),
  changes: line('GET', `${garden}/changes`, leads, 'The audit trail, newest first'),
  undo: line(
    'POST',
    `${garden}/changes/:id/undo`,
    crewMembers,
    'Undo a change of one’s own, or any as coordinator',
  ),
  harvestTotals: line('GET', `${garden}/harvest-totals`, members, 'Weight by crop and destination'),
} satisfies Record<string, TableLine>;

export type RouteName = keyof typeof table;

/** The header in which a write names its change, so that it can be undone. */
export const CHANGE_HEADER = 'x-change';
