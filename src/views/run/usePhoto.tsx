/** A photo of the piece in hand: the camera or a file, and the field a browser wants for it. */
import { type ReactNode, useRef, useState } from 'react';
import type { RunFact } from '../../core/run';
import { takePhoto, usePhotosOnWay } from '../../ui/photo';

interface Photo {
  /** Opens the camera for a piece. */
  shoot: (piece: number | undefined) => void;
  field: ReactNode;
  /** Why the last picture was none, in words. */
  unread: string | null;
  /** What is to be known while one is on its way; empty: nothing. */
  onWay: string;
}

export function usePhoto(onFact: (fact: RunFact) => void): Photo {
  const camera = useRef<HTMLInputElement>(null);
  // the piece that was in hand when the camera was opened, whatever is cued meanwhile
  const shot = useRef<number>(undefined);
  const [unread, setUnread] = useState<string | null>(null);
  const took = async (file: File | undefined) => {
    if (!file) return;
    setUnread(null);
    try {
      onFact({ kind: 'photographed', photo: await takePhoto(file), ...(shot.current !== undefined && { piece: shot.current }) });
    } catch (error) {
      setUnread(error instanceof Error ? error.message : String(error));
    }
  };
  const { loose } = usePhotosOnWay();
  return {
    onWay: loose ? 'This browser could not keep the photo: keep this page open until the server has it.' : '',
    shoot: (piece) => {
      shot.current = piece;
      camera.current?.click();
    },
    unread,
    field: (
      <input
        ref={camera}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label="Photo of the piece"
        onChange={(event) => {
          void took(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    ),
  };
}
