/** Every parcel with what is left in it. */
import type { ParcelStock } from '../../core/run';
import { useRoute } from '../../ui/query';

export function useStock(): ParcelStock[] {
  const parcels = useRoute('shelf', {}).data?.parcels ?? [];
  const states = useRoute('parcels', {}, parcels.length > 0).data?.parcels ?? [];
  return parcels.map((parcel) => ({ parcel, left: states.find(({ id }) => id === parcel.id)?.left ?? null }));
}
