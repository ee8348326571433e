/** A parcel in words: what it is called while nobody names it, and how it stands. */
import type { ParcelsReply } from '../../contract';
import { type Parcel, type Product, unlooked } from '../../core/sheet';
import { isoDayText } from '../../ui/days';

/** Art, transfer, and the day it came or is promised for. */
export function parcelName(
  { art, productId, arrivedOn, expectedOn }: Pick<Parcel, 'art' | 'productId' | 'arrivedOn' | 'expectedOn'>,
  products: readonly Pick<Product, 'id' | 'name'>[],
): string {
  const product = products.find(({ id }) => id === productId)?.name;
  return [art, product, arrivedOn ?? expectedOn].filter(Boolean).join(', ').slice(0, 80);
}

export type ParcelState = ParcelsReply['parcels'][number];

/** `26 left, 24 wanted`; what is short or to be done comes first. */
export function parcelState(parcel: Parcel, state: ParcelState | undefined): { says: string; isWrong: boolean } {
  const { trial, arrivedOn, expectedOn } = parcel;
  const wanted = state && state.wanted > 0 ? `, ${state.wanted} wanted` : '';
  if (arrivedOn === null)
    return { says: `on its way${expectedOn ? `, promised for ${isoDayText(expectedOn)}` : ''}${wanted}`, isWrong: false };
  if (trial && trial.result !== 'good') return { says: `its trial came out ${trial.result}`, isWrong: true };
  const left = state?.left ?? null;
  const count = left === null ? 'not counted' : `${Math.max(0, left)} left`;
  if (state?.short) return { says: `${count}${wanted}: ${state.short} short`, isWrong: true };
  const open = [...(trial ? [] : ['not tried']), ...(unlooked(parcel).length > 0 ? ['not looked over'] : [])];
  return { says: `${count}${wanted}${open.length > 0 ? `; ${open.join(', ')}` : ''}`, isWrong: false };
}
