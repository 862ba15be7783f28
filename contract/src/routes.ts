import { z } from 'zod';
import * as crew from './crew/index.ts';
import * as crops from './crops/index.ts';
import * as ground from './ground/index.ts';
import * as harvest from './harvest/index.ts';
import * as log from './log/index.ts';
import * as place from './place/index.ts';
import * as season from './season/index.ts';
import { summaries } from './summaries.ts';
import { type RouteName, table } from './table.ts';
import { id, type Route, type Shapes, shape, year } from './wire/index.ts';
import * as work from './work/index.ts';

/** Whether the garden's database can be written, and what keeps it from that. */
export const databaseStates = ['ok', 'readOnly', 'full', 'damaged', 'failing'] as const;
const health = z.object({
  version: z.string(),
  database: z.enum(databaseStates),
  /** the last nightly backup, an instant; null before the first */
  backup: z.object({ at: z.string().nullable(), failed: z.boolean() }),
  /** the instant of the last change, where the server's clock is behind it; null where it is not */
  clockBehind: z.string().nullable(),
});
const inGarden = z.object({ gardenId: id });
const thing = z.object({ gardenId: id, id });
const token = z.object({ token: z.string().min(20).max(100) });
const ofTask = z.object({ gardenId: id, id: work.taskIdShape });
const ofTenure = z.object({ gardenId: id, bedId: id, year });
const ofSignUp = z.object({ gardenId: id, id, personId: id });

const ofYear = z.object({ gardenId: id, year });
const ofYearThing = z.object({ gardenId: id, year, id });
const ofWork = z.object({ gardenId: id, id, taskId: work.taskIdShape });

const ofProposal = z.object({ gardenId: id, id: z.string().max(60) });

const shapes = {
  health: shape({ answer: health }),
  openapi: shape({
    answer: z.record(z.string(), z.unknown()),
  }),
  me: shape({ answer: crew.me }),
  setUp: shape({
    body: crew.setUpInput,
    answer: crew.me,
  }),
  signIn: shape({ body: crew.signInInput, answer: crew.me }),
  signOut: shape({}),
  invitation: shape({
    params: token,
    answer: crew.invitationView,
  }),
  join: shape({
    params: token,
    body: crew.joinInput,
    answer: crew.me,
  }),
  forgot: shape({ body: crew.forgotInput }),
  passwordLink: shape({ params: token, answer: crew.passwordLinkView }),
  usePasswordLink: shape({ params: token, body: crew.joinInput, answer: crew.me }),
  savePassword: shape({ body: crew.passwordInput, answer: crew.me }),
  saveEmail: shape({ body: crew.emailInput, answer: crew.me }),
  devices: shape({ answer: z.array(crew.device) }),
  signOutDevice: shape({ params: z.object({ id: z.string().max(100) }), answer: z.array(crew.device) }),
  signOutElsewhere: shape({ answer: z.array(crew.device) }),
  retirePerson: shape({ params: thing, body: crew.retiredInput, answer: crew.person }),
  erasePerson: shape({ params: thing }),
  makePasswordLink: shape({ params: thing, answer: crew.invitation }),
  backup: shape({ answer: z.unknown(), mediaType: 'application/zip' }),
  gardenBackup: shape({ params: inGarden, answer: z.unknown(), mediaType: 'application/zip' }),
  backups: shape({ params: inGarden, answer: place.backups }),
  garden: shape({
    params: inGarden,
    answer: place.garden,
  }),
  saveGarden: shape({
    params: inGarden,
    body: place.gardenInput,
    answer: place.garden,
  }),
  saveNormals: shape({ params: inGarden, body: place.normalsInput, answer: place.garden }),
  saveRules: shape({ params: inGarden, body: place.rulesInput, answer: place.garden }),
  importStation: shape({
    params: inGarden,
    query: place.stationQuery,
    bodyType: 'text/csv',
    answer: place.stationImported,
  }),
  removeStation: shape({ params: inGarden, answer: place.garden }),
  weather: shape({ params: inGarden, answer: place.weather }),
  ownCrops: shape({ params: inGarden, answer: z.array(crops.ownCrop) }),
  saveOwnCrop: shape({ params: thing, body: crops.ownCropInput, answer: crops.ownCrop }),
  removeOwnCrop: shape({ params: thing }),
  cropFile: shape({
    params: inGarden,
    query: crops.cropFileQuery,
    answer: z.string(),
    mediaType: 'text/plain',
  }),
  importCrops: shape({
    params: inGarden,
    query: crops.cropImportQuery,
    bodyType: 'text/csv',
    answer: crops.cropImport,
  }),
  seedPrices: shape({ params: inGarden, answer: z.array(crops.seedPrice) }),
  saveSeedPrice: shape({ params: thing, body: crops.seedPriceInput, answer: crops.seedPrice }),
  seedLots: shape({ params: inGarden, answer: z.array(crops.seedLot) }),
  saveSeedLot: shape({ params: thing, body: crops.seedLotInput, answer: crops.seedLot }),
  removeSeedLot: shape({ params: thing }),
  setClock: shape({
    params: inGarden,
    body: place.clockInput,
    answer: place.garden,
  }),
  beds: shape({
    params: inGarden,
    answer: z.array(ground.bed),
  }),
  bedRecords: shape({ params: inGarden, answer: z.array(ground.bedRecord) }),
  saveBed: shape({
    params: thing,
    body: ground.bedInput,
    answer: ground.bed,
  }),
  removeBed: shape({
    params: thing,
  }),
  saveTenure: shape({ params: ofTenure, body: ground.tenureInput, answer: ground.bed }),
  landmarks: shape({
    params: inGarden,
    answer: z.array(ground.landmark),
  }),
  saveLandmark: shape({
    params: thing,
    body: ground.landmarkInput,
    answer: ground.landmark,
  }),
  removeLandmark: shape({
    params: thing,
  }),
  saveLayout: shape({ params: inGarden, body: ground.layoutInput, answer: ground.layout }),
  saveGroundRules: shape({ params: inGarden, body: place.groundRules, answer: place.garden }),
  groundFile: shape({ params: inGarden, answer: z.string(), mediaType: 'application/geo+json' }),
  importGround: shape({
    params: inGarden,
    query: ground.geoQuery,
    bodyType: 'application/geo+json',
    answer: ground.geoImport,
  }),
  underlays: shape({ params: inGarden, answer: z.array(ground.underlay) }),
  addPicture: shape({
    params: inGarden,
    query: ground.pictureQuery,
    bodyType: 'image/*',
    answer: ground.underlay,
  }),
  saveUnderlay: shape({ params: thing, body: ground.underlayInput, answer: ground.underlay }),
  removeUnderlay: shape({ params: thing }),
  picture: shape({ params: thing, answer: z.unknown(), mediaType: 'image/*' }),
  people: shape({
    params: inGarden,
    answer: z.array(crew.person),
  }),
  savePerson: shape({
    params: thing,
    body: crew.personInput,
    answer: crew.person,
  }),
  removePerson: shape({
    params: thing,
  }),
  peopleFile: shape({ params: inGarden, answer: z.string(), mediaType: 'text/csv' }),
  readPeopleFile: shape({ params: inGarden, body: crew.peopleFileInput, answer: crew.peopleFileRead }),
  myTimes: shape({ params: inGarden, answer: crew.myTimes }),
  saveMyTimes: shape({ params: inGarden, body: crew.myTimesInput, answer: crew.myTimes }),
  invite: shape({
    params: thing,
    answer: crew.invitation,
  }),
  plotApplications: shape({ params: ofYear, answer: z.array(crew.plotApplication) }),
  savePlotApplication: shape({
    params: ofYearThing,
    body: crew.plotApplicationInput,
    answer: crew.plotApplication,
  }),
  removePlotApplication: shape({ params: ofYearThing }),
  lookAtAllotment: shape({ params: ofYear, query: crew.allotQuery, answer: crew.allotmentLook }),
  giveOutPlots: shape({ params: ofYear, body: crew.giveOutInput, answer: crew.allotment }),
  allotments: shape({ params: ofYear, answer: z.array(crew.allotment) }),
  plotCare: shape({ params: inGarden, answer: z.array(crew.plotCare) }),
  saveCareCheck: shape({
    params: z.object({ gardenId: id, bedId: id, id }),
    body: crew.careCheckInput,
    answer: crew.plotCare,
  }),
  crewRules: shape({ params: inGarden, answer: crew.crewRules }),
  saveCrewRules: shape({ params: inGarden, body: crew.crewRulesInput, answer: crew.crewRules }),
  myPlots: shape({ params: inGarden, answer: z.array(crew.myPlot) }),
  acceptAgreement: shape({ params: ofTenure, answer: crew.myPlot }),
  plantings: shape({
    params: inGarden,
    query: season.plantingQuery,
    answer: z.array(season.planting),
  }),
  savePlanting: shape({
    params: thing,
    body: season.plantingInput,
    answer: season.planting,
  }),
  savePlantings: shape({
    params: inGarden,
    body: season.plantingsInput,
    answer: z.array(season.planting),
  }),
  sowAgain: shape({ params: thing, body: season.sowAgainInput, answer: season.planting }),
  removePlanting: shape({ params: thing }),
  consistency: shape({ params: inGarden, query: season.seasonQuery, answer: z.array(season.finding) }),
  remedies: shape({ params: inGarden, query: season.remedyQuery, answer: z.array(season.remedy) }),
  rollOver: shape({ params: inGarden, query: season.rollingQuery, answer: z.array(season.rolledPlanting) }),
  propose: shape({ params: inGarden, body: season.proposalInput, answer: season.proposal }),
  proposal: shape({ params: ofProposal, answer: season.proposal }),
  stopProposal: shape({ params: ofProposal, answer: season.proposal }),
  wishes: shape({ params: inGarden, query: season.seasonQuery, answer: z.array(season.wish) }),
  saveWish: shape({ params: thing, body: season.wishInput, answer: season.wish }),
  removeWish: shape({ params: thing }),
  tasks: shape({
    params: inGarden,
    query: work.taskQuery,
    answer: z.array(work.task),
  }),
  taskCard: shape({ params: ofTask, answer: work.cards }),
  sessionCards: shape({ params: thing, answer: work.cards }),
  markTask: shape({
    params: ofTask,
    body: work.taskMarkInput,
    answer: work.task,
  }),
  markTasks: shape({
    params: inGarden,
    body: work.tasksMarkInput,
    answer: z.array(work.task),
  }),
  rounds: shape({ params: inGarden, answer: z.array(work.round) }),
  saveRound: shape({ params: thing, body: work.roundInput, answer: work.round }),
  removeRound: shape({ params: thing }),
  sessions: shape({
    params: inGarden,
    query: work.sessionQuery,
    answer: z.array(work.session),
  }),
  saveSession: shape({
    params: thing,
    body: work.sessionInput,
    answer: work.session,
  }),
  callSessions: shape({ params: inGarden, body: work.sessionsInput, answer: z.array(work.session) }),
  removeSession: shape({
    params: thing,
  }),
  signUp: shape({ params: ofSignUp, answer: work.session }),
  signOff: shape({
    params: ofSignUp,
    answer: work.session,
  }),
  offerPlace: shape({ params: ofSignUp, body: work.offerInput, answer: work.session }),
  takePlace: shape({ params: ofSignUp, answer: work.session }),
  moveSession: shape({ params: thing, body: work.moveInput, answer: work.session }),
  rollCall: shape({ params: ofSignUp, body: work.rollCallInput, answer: work.session }),
  logWork: shape({ params: ofWork, body: work.workDoneInput, answer: work.session }),
  askForHelp: shape({ params: thing, body: work.helpInput, answer: z.array(work.helpLetter) }),
  putOffs: shape({ params: inGarden, answer: z.array(work.putOff) }),
  putOff: shape({ params: inGarden, body: work.putOff, answer: work.putOff }),
  frostWatch: shape({ params: inGarden, query: work.frostQuery, answer: work.frostWatch }),
  frostCall: shape({ params: inGarden, body: work.frostCallInput, answer: work.session }),
  hours: shape({ params: inGarden, query: work.hoursQuery, answer: z.array(work.hoursOf) }),
  saveGiven: shape({ params: thing, body: work.givenInput, answer: work.given }),
  removeGiven: shape({ params: thing }),
  messages: shape({ params: inGarden, answer: z.array(work.message) }),
  remind: shape({ params: inGarden, body: work.remindInput, answer: work.written }),
  markSent: shape({ params: thing, body: work.sentInput, answer: work.message }),
  events: shape({
    params: inGarden,
    // A stream opened by a browser carries no headers: here the client names itself.
    query: z.object({ client: z.string().max(100).optional() }),
    answer: z.unknown(),
    mediaType: 'text/event-stream',
  }),
  tools: shape({ params: inGarden, answer: z.array(work.tool) }),
  saveTool: shape({ params: thing, body: work.toolInput, answer: work.tool }),
  removeTool: shape({ params: thing }),
  makeRota: shape({ params: inGarden, body: work.rotaInput, answer: work.rota }),
  rota: shape({ params: ofProposal, answer: work.rota }),
  stopRota: shape({ params: ofProposal, answer: work.rota }),
  applyRota: shape({ params: ofProposal, answer: work.rota }),
  calendarAddress: shape({ params: inGarden, answer: work.calendarAddress }),
  makeCalendarAddress: shape({ params: inGarden, answer: work.calendarAddress }),
  revokeCalendarAddress: shape({ params: inGarden, answer: work.calendarAddress }),
  calendar: shape({ params: token, answer: z.string(), mediaType: 'text/calendar' }),
  entries: shape({
    params: inGarden,
    query: log.entryQuery,
    answer: log.entryPage,
  }),
  saveEntry: shape({
    params: thing,
    body: log.entryInput,
    answer: log.entrySaved,
  }),
  removeEntry: shape({
    params: thing,
  }),
  changes: shape({
    params: inGarden,
    query: log.changeQuery,
    answer: log.changePage,
  }),
  undo: shape({ params: thing }),
  received: shape({ params: inGarden, query: harvest.harvestQuery, answer: harvest.received }),
  harvestTotals: shape({
    params: inGarden,
    query: harvest.harvestQuery,
    answer: harvest.harvestTotals,
  }),
} satisfies Record<RouteName, Shapes>;

export type Routes = {
  [Name in RouteName]: (typeof table)[Name] & (typeof shapes)[Name] & { summary: string };
};

/** Every route with what goes in and out. Server, client and OpenAPI document are made from it. */
export const routes = Object.fromEntries(
  (Object.keys(table) as RouteName[]).map((name) => [
    name,
    { ...table[name], ...shapes[name], summary: summaries[name] },
  ]),
) as Routes satisfies Record<RouteName, Route>;

type Part<Name extends RouteName, Key extends keyof Shapes> = Routes[Name][Key];
export type ParamsOf<Name extends RouteName> = z.infer<Part<Name, 'params'>>;
export type QueryOf<Name extends RouteName> = z.infer<Part<Name, 'query'>>;
export type BodyOf<Name extends RouteName> = z.infer<Part<Name, 'body'>>;
/** A body as a client sends it: what has a usual value may be left out. */
export type SentOf<Name extends RouteName> = z.input<Part<Name, 'body'>>;
export type AnswerOf<Name extends RouteName> = z.infer<Part<Name, 'answer'>>;
