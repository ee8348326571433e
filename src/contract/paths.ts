/** Every route of the wire by name: method and path. Light on purpose, so that views carry no schemas. */
export const API = '/api/v1';

/** A photo is at most so many characters of base64. */
export const PHOTO_MOST = 900_000;

export const PATHS = {
  health: ['GET', '/health'],
  bench: ['GET', '/bench'],
  firstHour: ['GET', '/first-hour'],
  putSample: ['PUT', '/sample'],
  dayEnd: ['GET', '/day-end'],
  find: ['GET', '/find'],
  order: ['GET', '/orders/{id}'],
  putOrder: ['PUT', '/orders/{id}'],
  removeOrder: ['DELETE', '/orders/{id}'],
  orderCards: ['GET', '/orders/{id}/cards'],
  orderKit: ['GET', '/orders/{id}/kit'],
  pressTogether: ['GET', '/orders/{id}/together'],
  shelf: ['GET', '/shelf'],
  putFabric: ['PUT', '/shelf/fabrics/{id}'],
  putBlank: ['PUT', '/shelf/blanks/{id}'],
  putProduct: ['PUT', '/shelf/products/{id}'],
  putAid: ['PUT', '/shelf/aids/{id}'],
  putTested: ['PUT', '/shelf/tested/{id}'],
  putParcel: ['PUT', '/shelf/parcels/{id}'],
  parcels: ['GET', '/parcels'],
  removeThing: ['DELETE', '/shelf/{kind}/{id}'],
  whichTransfer: ['POST', '/which-transfer'],
  testedMatrix: ['GET', '/tested-matrix'],
  measuringWorth: ['GET', '/measuring-worth'],
  presses: ['GET', '/presses'],
  putPress: ['PUT', '/presses/{id}'],
  devices: ['GET', '/devices'],
  putHand: ['PUT', '/simulator/hand'],
  pressReport: ['GET', '/presses/{id}/records'],
  putPressRecord: ['PUT', '/presses/{id}/records/{recordId}'],
  putPressAmendment: ['PUT', '/presses/{id}/records/{recordId}/standing/{amendmentId}'],
  house: ['GET', '/house'],
  putHouse: ['PUT', '/house'],
  run: ['GET', '/runs/{id}'],
  putRun: ['PUT', '/runs/{id}'],
  runEvents: ['GET', '/runs/{id}/events'],
  putRunEvent: ['PUT', '/runs/{id}/events/{eventId}'],
  putPhoto: ['PUT', '/photos/{id}'],
  pressings: ['GET', '/pressings'],
  pressing: ['GET', '/pressings/{id}'],
  again: ['GET', '/pressings/{id}/again'],
  putPlaced: ['PUT', '/pressings/{id}/placed/{amendmentId}'],
  putRescued: ['PUT', '/pressings/{id}/rescued/{amendmentId}'],
  placementBias: ['GET', '/placement-bias'],
  logNames: ['GET', '/log-names'],
  rail: ['GET', '/rail'],
  readRoster: ['POST', '/compute/roster'],
  readKit: ['POST', '/compute/kit'],
  computeCard: ['POST', '/compute/card'],
  computeSchool: ['POST', '/compute/school'],
  computeSurvey: ['POST', '/compute/survey'],
  computePressure: ['POST', '/compute/pressure'],
  computeWarmUp: ['POST', '/compute/warm-up'],
  computeHeat: ['POST', '/compute/heat'],
  computeHeatCorrect: ['POST', '/compute/heat/correct'],
  computeHeatSweep: ['POST', '/compute/heat/sweep'],
  computePeel: ['POST', '/compute/peel'],
  computePlacement: ['POST', '/compute/placement'],
  computeFeasibility: ['POST', '/compute/feasibility'],
  computeSizeSplit: ['POST', '/compute/size-split'],
  computeClosing: ['POST', '/compute/closing'],
  orderHeat: ['GET', '/orders/{id}/heat'],
  shelfHeat: ['GET', '/heat-stack'],
  learned: ['GET', '/learned'],
  practice: ['GET', '/practice'],
  putPractice: ['PUT', '/practice/{id}'],
} as const satisfies Record<string, readonly ['GET' | 'PUT' | 'POST' | 'DELETE', string]>;

export type RouteName = keyof typeof PATHS;

/** Routes that change the shop. */
export type WriteName = { [N in RouteName]: (typeof PATHS)[N][0] extends 'PUT' | 'DELETE' ? N : never }[RouteName];

/** What a first hour shows itself by, on its page and on the rail. */
const FIRST_HOUR = ['firstHour', 'rail'] as const;
const ORDERS = ['order', 'orderKit', 'orderCards', 'pressTogether', 'bench', ...FIRST_HOUR] as const;
/** What is judged by shelf, presses and house. */
const JUDGED = [...ORDERS, 'testedMatrix', 'measuringWorth'] as const;
const SHELF = ['shelf', ...JUDGED] as const;
const PRESSES = ['presses', 'pressReport', ...JUDGED] as const;

/** What each write makes stale: the page that wrote fetches it again, and every other open page is told of it. */
export const STALE_AFTER = {
  putOrder: [...ORDERS, 'parcels'],
  removeOrder: [...ORDERS, 'parcels'],
  putFabric: SHELF,
  putBlank: SHELF,
  putProduct: SHELF,
  putAid: SHELF,
  putTested: SHELF,
  putParcel: ['shelf', 'parcels'],
  removeThing: [...SHELF, 'parcels'],
  putPress: PRESSES,
  putPressRecord: PRESSES,
  putPressAmendment: PRESSES,
  putHouse: ['house', ...JUDGED, 'learned'],
  putRun: ['parcels', 'order', 'pressTogether', 'bench', 'dayEnd', 'rail'],
  // its run is told by its steps
  putRunEvent: ['parcels', 'bench', 'dayEnd', ...FIRST_HOUR],
  putPhoto: [],
  putPlaced: ['pressing', 'placementBias'],
  putRescued: ['pressing', 'pressings'],
  putPractice: ['practice'],
  // a shop beside this one: nothing of this one changes
  putSample: [],
  // devices tell of themselves
  putHand: [],
} as const satisfies Record<WriteName, readonly RouteName[]>;

/** Reads that anything may have changed: a list brought in, a backup put back. */
export const STALE_AFTER_ALL = Object.keys(PATHS).filter((name) => PATHS[name as RouteName][0] === 'GET') as RouteName[];
