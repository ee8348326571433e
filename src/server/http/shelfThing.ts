/** The endpoints of one thing of the shelf: put and remove, alike for every kind. */

import type { APIRoute } from 'astro';
import type { Body, Reply } from '../../contract/routes';
import type { ShelfKind, ShelfThings } from '../../core/sheet';
import { putShelfThing, removeShelfThing } from '../stores/shelf';
import { mustBeTestable } from '../stores/tested';
import { endpoint, sameId, wrongMethod } from './endpoint';

type PutRoute = 'putFabric' | 'putBlank' | 'putProduct' | 'putAid' | 'putTested' | 'putParcel';

export function shelfThing<K extends ShelfKind, N extends PutRoute>(kind: K, route: N): { PUT: APIRoute; DELETE: APIRoute; ALL: APIRoute } {
  return {
    PUT: endpoint(route, ({ db }, { params, body, ifMatch }) => {
      const doc = body as Body<N> & ShelfThings[K];
      sameId((params as { id: string }).id, doc.id);
      if (kind === 'tested') mustBeTestable(db, doc as ShelfThings['tested']);
      const stored = putShelfThing(db, kind, doc, ifMatch);
      return stored as Reply<N> & { version: number };
    }),
    DELETE: endpoint('removeThing', ({ db }, { params }) => {
      removeShelfThing(db, kind, params.id);
      return { removed: params.id };
    }),
    ALL: wrongMethod('PUT', 'DELETE'),
  };
}
