import type { Audience, Method, Role } from './wire/audience.ts';

const coordinator: readonly Role[] = ['coordinator'];
const leads: readonly Role[] = ['coordinator', 'crewLead'];
const crewMembers: readonly Role[] = ['coordinator', 'crewLead', 'volunteer'];
const members: readonly Role[] = ['coordinator', 'crewLead', 'volunteer', 'receiver'];

/** A route: how it is called and who may call it. What it does stands in `summaries`. */
export interface TableLine {
  method: Method;
  /** Express path; a path with `:gardenId` belongs to that garden */
  path: string;
  may: Audience;
  /** true where a change of an existing row must name its version in If-Match */
  versioned: boolean;
}

const line = (method: Method, path: string, may: Audience, versioned = false): TableLine => ({
  method,
  path,
  may,
  versioned,
});

const garden = '/api/gardens/:gardenId';

/**
 * Every route and who may call it. What goes in and out stands in `routes`; this table alone is what the interface
 * needs to make a call, so that its first screen does without the schemas.
 */
export const table = {
  health: line('GET', '/api/health', 'anyone'),
  openapi: line('GET', '/api/openapi.json', 'anyone'),
  me: line('GET', '/api/me', 'anyone'),
  setUp: line('POST', '/api/set-up', 'anyone'),
  signIn: line('POST', '/api/sign-in', 'anyone'),
  signOut: line('POST', '/api/sign-out', 'signedIn'),
  invitation: line('GET', '/api/invitations/:token', 'anyone'),
  join: line('POST', '/api/invitations/:token', 'anyone'),
  forgot: line('POST', '/api/password-links', 'anyone'),
  passwordLink: line('GET', '/api/password-links/:token', 'anyone'),
  usePasswordLink: line('POST', '/api/password-links/:token', 'anyone'),
  savePassword: line('PUT', '/api/account/password', 'signedIn'),
  saveEmail: line('PUT', '/api/account/email', 'signedIn'),
  devices: line('GET', '/api/account/devices', 'signedIn'),
  signOutDevice: line('DELETE', '/api/account/devices/:id', 'signedIn'),
  signOutElsewhere: line('DELETE', '/api/account/devices', 'signedIn'),
  backup: line('GET', '/api/backup', 'anyone'),
  gardenBackup: line('GET', `${garden}/backup`, coordinator),
  backups: line('GET', `${garden}/backups`, coordinator),
  garden: line('GET', garden, members),
  saveGarden: line('PUT', garden, coordinator, true),
  saveNormals: line('PUT', `${garden}/normals`, coordinator, true),
  saveRules: line('PUT', `${garden}/rules`, coordinator, true),
  importStation: line('POST', `${garden}/station-record`, coordinator),
  removeStation: line('DELETE', `${garden}/station-record`, coordinator),
  weather: line('GET', `${garden}/weather`, crewMembers),
  ownCrops: line('GET', `${garden}/crops`, members),
  saveOwnCrop: line('PUT', `${garden}/crops/:id`, coordinator, true),
  removeOwnCrop: line('DELETE', `${garden}/crops/:id`, coordinator, true),
  cropFile: line('GET', `${garden}/crop-file`, crewMembers),
  importCrops: line('POST', `${garden}/crop-file`, coordinator),
  seedLots: line('GET', `${garden}/seed-lots`, leads),
  saveSeedLot: line('PUT', `${garden}/seed-lots/:id`, coordinator, true),
  removeSeedLot: line('DELETE', `${garden}/seed-lots/:id`, coordinator, true),
  setClock: line('PUT', `${garden}/clock`, coordinator),
  beds: line('GET', `${garden}/beds`, members),
  saveBed: line('PUT', `${garden}/beds/:id`, coordinator, true),
  removeBed: line('DELETE', `${garden}/beds/:id`, coordinator, true),
  saveTenure: line('PUT', `${garden}/beds/:bedId/tenure/:year`, coordinator, true),
  landmarks: line('GET', `${garden}/landmarks`, members),
  saveLandmark: line('PUT', `${garden}/landmarks/:id`, coordinator, true),
  removeLandmark: line('DELETE', `${garden}/landmarks/:id`, coordinator, true),
  saveLayout: line('POST', `${garden}/layout`, coordinator),
  saveGroundRules: line('PUT', `${garden}/ground-rules`, coordinator, true),
  groundFile: line('GET', `${garden}/ground-file`, members),
  importGround: line('POST', `${garden}/ground-file`, coordinator),
  underlays: line('GET', `${garden}/underlays`, members),
  addPicture: line('POST', `${garden}/underlays`, coordinator),
  saveUnderlay: line('PUT', `${garden}/underlays/:id`, coordinator, true),
  removeUnderlay: line('DELETE', `${garden}/underlays/:id`, coordinator, true),
  picture: line('GET', `${garden}/pictures/:id`, members),
  people: line('GET', `${garden}/people`, leads),
  savePerson: line('PUT', `${garden}/people/:id`, coordinator, true),
  removePerson: line('DELETE', `${garden}/people/:id`, coordinator, true),
  peopleFile: line('GET', `${garden}/people-file`, coordinator),
  readPeopleFile: line('POST', `${garden}/people-file`, coordinator),
  myTimes: line('GET', `${garden}/my-times`, crewMembers),
  saveMyTimes: line('PUT', `${garden}/my-times`, crewMembers, true),
  retirePerson: line('PUT', `${garden}/people/:id/retired`, coordinator, true),
  erasePerson: line('POST', `${garden}/people/:id/erasure`, coordinator),
  makePasswordLink: line('POST', `${garden}/people/:id/password-link`, coordinator),
  invite: line('POST', `${garden}/people/:id/invitation`, coordinator),
  plotApplications: line('GET', `${garden}/plot-applications/:year`, leads),
  savePlotApplication: line('PUT', `${garden}/plot-applications/:year/:id`, coordinator, true),
  removePlotApplication: line('DELETE', `${garden}/plot-applications/:year/:id`, coordinator, true),
  lookAtAllotment: line('GET', `${garden}/allotments/:year/look`, coordinator),
  giveOutPlots: line('POST', `${garden}/allotments/:year`, coordinator),
  allotments: line('GET', `${garden}/allotments/:year`, crewMembers),
  plotCare: line('GET', `${garden}/plot-care`, leads),
  saveCareCheck: line('PUT', `${garden}/plot-care/:bedId/checks/:id`, leads),
  crewRules: line('GET', `${garden}/crew-rules`, crewMembers),
  saveCrewRules: line('PUT', `${garden}/crew-rules`, coordinator, true),
  myPlots: line('GET', `${garden}/my-plots`, crewMembers),
  acceptAgreement: line('PUT', `${garden}/agreements/:year/:bedId`, crewMembers),
  plantings: line('GET', `${garden}/plantings`, crewMembers),
  savePlanting: line('PUT', `${garden}/plantings/:id`, coordinator, true),
  savePlantings: line('POST', `${garden}/plantings`, coordinator),
  removePlanting: line('DELETE', `${garden}/plantings/:id`, coordinator, true),
  consistency: line('GET', `${garden}/consistency`, leads),
  remedies: line('GET', `${garden}/remedies`, leads),
  rollOver: line('GET', `${garden}/next-year`, coordinator),
  propose: line('POST', `${garden}/proposals`, coordinator),
  proposal: line('GET', `${garden}/proposals/:id`, coordinator),
  stopProposal: line('DELETE', `${garden}/proposals/:id`, coordinator),
  wishes: line('GET', `${garden}/wishes`, leads),
  saveWish: line('PUT', `${garden}/wishes/:id`, coordinator, true),
  removeWish: line('DELETE', `${garden}/wishes/:id`, coordinator, true),
  tasks: line('GET', `${garden}/tasks`, crewMembers),
  taskCard: line('GET', `${garden}/tasks/:id/card`, crewMembers),
  sessionCards: line('GET', `${garden}/sessions/:id/cards`, crewMembers),
  markTask: line('PUT', `${garden}/tasks/:id`, leads),
  markTasks: line('POST', `${garden}/tasks/marks`, leads),
  rounds: line('GET', `${garden}/rounds`, leads),
  saveRound: line('PUT', `${garden}/rounds/:id`, coordinator, true),
  removeRound: line('DELETE', `${garden}/rounds/:id`, coordinator, true),
  sessions: line('GET', `${garden}/sessions`, crewMembers),
  saveSession: line('PUT', `${garden}/sessions/:id`, leads, true),
  callSessions: line('POST', `${garden}/sessions`, leads),
  removeSession: line('DELETE', `${garden}/sessions/:id`, leads, true),
  signUp: line('PUT', `${garden}/sessions/:id/sign-ups/:personId`, crewMembers),
  signOff: line('DELETE', `${garden}/sessions/:id/sign-ups/:personId`, crewMembers),
  offerPlace: line('PUT', `${garden}/sessions/:id/sign-ups/:personId/offer`, crewMembers),
  takePlace: line('POST', `${garden}/sessions/:id/sign-ups/:personId/taking`, crewMembers),
  moveSession: line('POST', `${garden}/sessions/:id/move`, leads, true),
  rollCall: line('PUT', `${garden}/sessions/:id/roll-call/:personId`, crewMembers),
  logWork: line('PUT', `${garden}/sessions/:id/work/:taskId`, crewMembers),
  frostWatch: line('GET', `${garden}/frost`, leads),
  frostCall: line('POST', `${garden}/frost`, leads),
  hours: line('GET', `${garden}/hours`, crewMembers),
  saveGiven: line('PUT', `${garden}/hours/:id`, crewMembers, true),
  removeGiven: line('DELETE', `${garden}/hours/:id`, crewMembers, true),
  messages: line('GET', `${garden}/messages`, coordinator),
  remind: line('POST', `${garden}/reminders`, coordinator),
  markSent: line('PUT', `${garden}/messages/:id/sent`, coordinator),
  events: line('GET', `${garden}/events`, crewMembers),
  tools: line('GET', `${garden}/tools`, leads),
  saveTool: line('PUT', `${garden}/tools/:id`, coordinator, true),
  removeTool: line('DELETE', `${garden}/tools/:id`, coordinator, true),
  makeRota: line('POST', `${garden}/rotas`, coordinator),
  rota: line('GET', `${garden}/rotas/:id`, coordinator),
  stopRota: line('DELETE', `${garden}/rotas/:id`, coordinator),
  applyRota: line('POST', `${garden}/rotas/:id/application`, coordinator),
  calendarAddress: line('GET', `${garden}/calendar-address`, crewMembers),
  makeCalendarAddress: line('POST', `${garden}/calendar-address`, crewMembers),
  revokeCalendarAddress: line('DELETE', `${garden}/calendar-address`, crewMembers),
  calendar: line('GET', '/api/calendar/:token', 'anyone'),
  entries: line('GET', `${garden}/entries`, crewMembers),
  saveEntry: line('PUT', `${garden}/entries/:id`, crewMembers, true),
  removeEntry: line('DELETE', `${garden}/entries/:id`, crewMembers, true),
  changes: line('GET', `${garden}/changes`, leads),
  undo: line('POST', `${garden}/changes/:id/undo`, crewMembers),
  harvestTotals: line('GET', `${garden}/harvest-totals`, members),
} satisfies Record<string, TableLine>;

export type RouteName = keyof typeof table;

/** The header in which a write names its change, so that it can be undone. */
export const CHANGE_HEADER = 'x-change';
