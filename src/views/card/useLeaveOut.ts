/** Leaves out what the log has taught of a press with a transfer. Later pressings teach again. */
import { useHouse } from '../house/useHouse';

export function useLeaveOut() {
  const { data, fault, save } = useHouse();
  const leaveOut = async ({ pressId, productId }: { pressId: string; productId: string }) => {
    if (!data) return;
    const rest = (data.house.forgotten ?? []).filter((pair) => pair.pressId !== pressId || pair.productId !== productId);
    await save({ ...data.house, forgotten: [...rest, { pressId, productId, until: Date.now() }] }, 'what the log says left out');
  };
  return { leaveOut, fault };
}
