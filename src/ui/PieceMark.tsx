/** A piece in small: its outline and its prints on the colour of its cloth, beside the words that name it. */
import { API } from '../contract';

interface PieceMarkProps {
  orderId: string;
  /** Absent: the order's first line. */
  lineId?: string | undefined;
  /** Of the order: a later one is looked at anew. */
  version?: number | undefined;
  /** Side, px. */
  size?: number;
  look?: string;
}

export function PieceMark({ orderId, lineId, version, size = 44, look = '' }: PieceMarkProps) {
  const asked = new URLSearchParams({ ...(lineId && { line: lineId }), ...(version && { v: String(version) }) });
  return (
    <img
      src={`${API}/orders/${encodeURIComponent(orderId)}/looks.svg?${asked}`}
      alt=""
      loading="lazy"
      width={size}
      height={size}
      className={`shrink-0 ${look}`}
    />
  );
}
