import { z } from 'zod';
import * as crew from './crew/index.ts';
import * as ground from './ground/index.ts';
import * as harvest from './harvest/index.ts';
import * as log from './log/index.ts';
import * as place from './place/index.ts';
import * as season from './season/index.ts';
import { id, type Role, type Route, route, year } from './wire/index.ts';
import * as work from './work/index.ts';

const coordinator: readonly Role[] = ['coordinator'];
const leads: readonly Role[] = ['coordinator', 'crewLead'];
const crewMembers: readonly Role[] = ['coordinator', 'crewLead', 'volunteer'];
const members: readonly Role[] = ['coordinator', 'crewLead', 'volunteer', 'receiver'];

const health = z.object({ version: z.string(), database: z.enum(['open', 'closed']) });
const garden = '/api/gardens/:gardenId';
const inGarden = z.object({ gardenId: id });
const thing = z.object({ gardenId: id, id });
const token = z.object({ token: z.string().min(20).max(100) });
const ofTask = z.object({ gardenId: id, id: work.taskIdShape });
const ofTenure = z.object({ gardenId: id, bedId: id, year });
const ofSignUp = z.object({ gardenId: id, id, personId: id });

/** Every route, who may call it, and what goes in and out. Server, client and OpenAPI document are made from it. */
export const routes = {
  health: route('GET', '/api/health', 'anyone', 'Version and state of the database', { answer: health }),
  openapi: route('GET', '/api/openapi.json', 'anyone', 'This document', {
    answer: z.record(z.string(), z.unknown()),
  }),

  me: route('GET', '/api/me', 'anyone', 'Who is asking', { answer: crew.me }),
  setUp: route('POST', '/api/set-up', 'anyone', 'Set up the first garden and its coordinator', {
    body: crew.setUpInput,
    answer: crew.me,
  }),
  signIn: route('POST', '/api/sign-in', 'anyone', 'Sign in', { body: crew.signInInput, answer: crew.me }),
  signOut: route('POST', '/api/sign-out', 'signedIn', 'Sign out'),
  invitation: route('GET', '/api/invitations/:token', 'anyone', 'What an invitation says', {
    params: token,
    answer: crew.invitationView,
  }),
  join: route('POST', '/api/invitations/:token', 'anyone', 'Accept an invitation', {
    params: token,
    body: crew.joinInput,
    answer: crew.me,
  }),

  garden: route('GET', garden, members, 'The garden and its today', {
    params: inGarden,
    answer: place.garden,
  }),
  saveGarden: route('PUT', garden, coordinator, 'Change the garden', {
    params: inGarden,
    body: place.gardenInput,
    answer: place.garden,
    versioned: true,
  }),
  setClock: route('PUT', `${garden}/clock`, coordinator, 'Move a hand-set clock', {
    params: inGarden,
    body: place.clockInput,
    answer: place.garden,
  }),

  beds: route('GET', `${garden}/beds`, members, 'Beds with their tenure by season', {
    params: inGarden,
    answer: z.array(ground.bed),
  }),
  saveBed: route('PUT', `${garden}/beds/:id`, coordinator, 'Add or change a bed', {
    params: thing,
    body: ground.bedInput,
    answer: ground.bed,
    versioned: true,
  }),
  removeBed: route('DELETE', `${garden}/beds/:id`, coordinator, 'Remove a bed that nothing grows in', {
    params: thing,
    versioned: true,
  }),
  saveTenure: route(
    'PUT',
    `${garden}/beds/:bedId/tenure/:year`,
    coordinator,
    'Say who holds a bed in a season',
    { params: ofTenure, body: ground.tenureInput, answer: ground.bed, versioned: true },
  ),
  landmarks: route('GET', `${garden}/landmarks`, members, 'Taps, sheds, hedges', {
    params: inGarden,
    answer: z.array(ground.landmark),
  }),
  saveLandmark: route('PUT', `${garden}/landmarks/:id`, coordinator, 'Add or change a landmark', {
    params: thing,
    body: ground.landmarkInput,
    answer: ground.landmark,
    versioned: true,
  }),
  removeLandmark: route('DELETE', `${garden}/landmarks/:id`, coordinator, 'Remove a landmark', {
    params: thing,
    versioned: true,
  }),

  people: route('GET', `${garden}/people`, leads, 'People of the garden', {
    params: inGarden,
    answer: z.array(crew.person),
  }),
  savePerson: route('PUT', `${garden}/people/:id`, coordinator, 'Add or change a person', {
    params: thing,
    body: crew.personInput,
    answer: crew.person,
    versioned: true,
  }),
  removePerson: route('DELETE', `${garden}/people/:id`, coordinator, 'Remove a person', {
    params: thing,
    versioned: true,
  }),
  invite: route('POST', `${garden}/people/:id/invitation`, coordinator, 'Make an invitation', {
    params: thing,
    answer: crew.invitation,
  }),

  plantings: route('GET', `${garden}/plantings`, crewMembers, 'Plantings of a season, reckoned', {
    params: inGarden,
    query: season.plantingQuery,
    answer: z.array(season.planting),
  }),
  savePlanting: route('PUT', `${garden}/plantings/:id`, coordinator, 'Plan or change a planting', {
    params: thing,
    body: season.plantingInput,
    answer: season.planting,
    versioned: true,
  }),
  removePlanting: route(
    'DELETE',
    `${garden}/plantings/:id`,
    coordinator,
    'Remove a planting nothing is logged of',
    { params: thing, versioned: true },
  ),

  tasks: route('GET', `${garden}/tasks`, crewMembers, 'Tasks of a season', {
    params: inGarden,
    query: work.taskQuery,
    answer: z.array(work.task),
  }),
  markTask: route('PUT', `${garden}/tasks/:id`, leads, 'Tick a task off, or take the tick back', {
    params: ofTask,
    body: work.taskMarkInput,
    answer: work.task,
  }),
  sessions: route('GET', `${garden}/sessions`, crewMembers, 'Work sessions', {
    params: inGarden,
    answer: z.array(work.session),
  }),
  saveSession: route('PUT', `${garden}/sessions/:id`, leads, 'Call or change a work session', {
    params: thing,
    body: work.sessionInput,
    answer: work.session,
    versioned: true,
  }),
  removeSession: route('DELETE', `${garden}/sessions/:id`, leads, 'Call a work session off', {
    params: thing,
    versioned: true,
  }),
  signUp: route(
    'PUT',
    `${garden}/sessions/:id/sign-ups/:personId`,
    crewMembers,
    'Sign up: oneself, or anyone as a lead',
    { params: ofSignUp, answer: work.session },
  ),
  signOff: route('DELETE', `${garden}/sessions/:id/sign-ups/:personId`, crewMembers, 'Take a sign-up back', {
    params: ofSignUp,
    answer: work.session,
  }),
  calendarAddress: route(
    'GET',
    `${garden}/calendar-address`,
    crewMembers,
    "The private address of one's sessions",
    { params: inGarden, answer: work.calendarAddress },
  ),
  makeCalendarAddress: route(
    'POST',
    `${garden}/calendar-address`,
    crewMembers,
    'Make a new private address; the old one ends',
    { params: inGarden, answer: work.calendarAddress },
  ),
  revokeCalendarAddress: route(
    'DELETE',
    `${garden}/calendar-address`,
    crewMembers,
    'End the private address',
    { params: inGarden, answer: work.calendarAddress },
  ),
  calendar: route(
    'GET',
    '/api/calendar/:token',
    'anyone',
    "One's sessions as iCalendar, by the private address",
    { params: token, answer: z.string(), mediaType: 'text/calendar' },
  ),

  entries: route('GET', `${garden}/entries`, crewMembers, 'The log book, newest first', {
    params: inGarden,
    query: log.entryQuery,
    answer: log.entryPage,
  }),
  saveEntry: route('PUT', `${garden}/entries/:id`, crewMembers, 'Log something, or correct what one logged', {
    params: thing,
    body: log.entryInput,
    answer: log.entrySaved,
    versioned: true,
  }),
  removeEntry: route('DELETE', `${garden}/entries/:id`, crewMembers, 'Strike out what one logged', {
    params: thing,
    versioned: true,
  }),
  changes: route('GET', `${garden}/changes`, leads, 'The audit trail, newest first', {
    params: inGarden,
    query: log.changeQuery,
    answer: log.changePage,
  }),
  undo: route(
    'POST',
    `${garden}/changes/:id/undo`,
    crewMembers,
    'Undo a change of one’s own, or any as coordinator',
    { params: thing },
  ),

  harvestTotals: route('GET', `${garden}/harvest-totals`, members, 'Weight by crop and destination', {
    params: inGarden,
    query: harvest.harvestQuery,
    answer: harvest.harvestTotals,
  }),
} satisfies Record<string, Route>;

export type Routes = typeof routes;
export type RouteName = keyof Routes;
type Part<Name extends RouteName, Key extends 'params' | 'query' | 'body' | 'answer'> = Routes[Name][Key];
export type ParamsOf<Name extends RouteName> = z.infer<Part<Name, 'params'>>;
export type QueryOf<Name extends RouteName> = z.infer<Part<Name, 'query'>>;
export type BodyOf<Name extends RouteName> = z.infer<Part<Name, 'body'>>;
export type AnswerOf<Name extends RouteName> = z.infer<Part<Name, 'answer'>>;

/** The header in which a write names its change, so that it can be undone. */
export const CHANGE_HEADER = 'x-change';
