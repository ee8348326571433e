/** Every route of the wire by name: method and path. Light on purpose, so that views carry no schemas. */
export const API = '/api/v1';

export const PATHS = {
  health: ['GET', '/health'],
  bench: ['GET', '/bench'],
  order: ['GET', '/orders/{id}'],
  putOrder: ['PUT', '/orders/{id}'],
  removeOrder: ['DELETE', '/orders/{id}'],
  orderCards: ['GET', '/orders/{id}/cards'],
  shelf: ['GET', '/shelf'],
  putFabric: ['PUT', '/shelf/fabrics/{id}'],
  putBlank: ['PUT', '/shelf/blanks/{id}'],
  putProduct: ['PUT', '/shelf/products/{id}'],
  putAid: ['PUT', '/shelf/aids/{id}'],
  removeThing: ['DELETE', '/shelf/{kind}/{id}'],
  whichTransfer: ['POST', '/which-transfer'],
  presses: ['GET', '/presses'],
  putPress: ['PUT', '/presses/{id}'],
  house: ['GET', '/house'],
  putHouse: ['PUT', '/house'],
  run: ['GET', '/runs/{id}'],
  putRun: ['PUT', '/runs/{id}'],
  putRunEvent: ['PUT', '/runs/{id}/events/{eventId}'],
  pressings: ['GET', '/pressings'],
  pressing: ['GET', '/pressings/{id}'],
  again: ['GET', '/pressings/{id}/again'],
  logNames: ['GET', '/log-names'],
  rail: ['GET', '/rail'],
  readRoster: ['POST', '/compute/roster'],
  computeCard: ['POST', '/compute/card'],
} as const satisfies Record<string, readonly ['GET' | 'PUT' | 'POST' | 'DELETE', string]>;

export type RouteName = keyof typeof PATHS;
