/** Photos from camera or file: made small here, without what the camera wrote beside them, kept, and sent until the server has them. */
import { useSyncExternalStore } from 'react';
import { call, PHOTO_MOST, ProblemError } from '../contract';
import { letGoPhoto, type StoredPhoto, storedPhotos, storePhoto } from './localStore';
import { newId } from './newId';

/** Longest side of a kept photo, px: enough to see an edge that lifts. */
const LONGEST_PX = 1280;
/** Tried in turn until the picture is small enough to be taken. */
const QUALITIES = [0.78, 0.6, 0.4, 0.2];
const RETRY_MS = 2_000;

/** Width and height of a picture that has to be no longer than a side. */
export function fitted(width: number, height: number, longest = LONGEST_PX): { width: number; height: number } {
  const scale = Math.min(1, longest / Math.max(width, height, 1));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

/**
 * A picture drawn anew, small: nothing is left of its place, its camera and its time.
 *
 * @throws {Error} the file is no picture this browser can read, in words
 */
async function drawnAnew(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('This file is no picture this browser can read. A JPEG or PNG is.');
  });
  const canvas = document.createElement('canvas');
  Object.assign(canvas, fitted(picture.width, picture.height));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  for (const quality of QUALITIES) {
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
    const jpeg = blob ? await base64Of(blob) : '';
    if (jpeg !== '' && jpeg.length <= PHOTO_MOST) return jpeg;
  }
  throw new Error('This picture could not be made small enough. Try another.');
}

/** How it stands with the photos of this document. */
export interface PhotosOnWay {
  /** Some that are on their way are in this page alone: the browser would not keep them. */
  loose: boolean;
  /** Why the server did not take one, in words. */
  refusal: string | null;
}

const ALL_WELL: PhotosOnWay = { loose: false, refusal: null };
let state = ALL_WELL;
/** Photos on their way that this browser could not keep, by id. */
const loose = new Set<string>();
const listeners = new Set<() => void>();

function say(refusal: string | null): void {
  state = { loose: loose.size > 0, refusal };
  for (const listener of listeners) listener();
}

export const photosOnWay = (): PhotosOnWay => state;

export const usePhotosOnWay = (): PhotosOnWay =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    photosOnWay,
    () => ALL_WELL,
  );

/** The refusal that was seen is let go. */
export const seenPhotoRefusal = (): void => say(null);

/** Nothing more is to be done for a photo: the server has it, or will never take it. */
async function done(id: string, refusal: string | null): Promise<void> {
  await letGoPhoto(id);
  loose.delete(id);
  say(refusal ?? state.refusal);
}

/** Sends a photo until the server has it, or says that it never will. */
async function send(photo: StoredPhoto): Promise<void> {
  for (;;) {
    try {
      await call('putPhoto', { params: { id: photo.id }, body: { jpeg: photo.jpeg } });
      return await done(photo.id, null);
    } catch (error) {
      if (error instanceof ProblemError && error.problem.status < 500)
        return await done(photo.id, `A photo was not taken: ${error.message} Take it again, or go on without.`);
      await new Promise((then) => setTimeout(then, RETRY_MS));
    }
  }
}

/** Keeps a photo in the browser, and sees it on its way. */
export async function postPhoto(photo: StoredPhoto): Promise<void> {
  if (!(await storePhoto(photo))) {
    loose.add(photo.id);
    say(state.refusal);
  }
  void send(photo);
}

/** Takes a picture in. @returns its id */
export async function takePhoto(file: Blob): Promise<string> {
  const photo = { id: newId(), jpeg: await drawnAnew(file) };
  await postPhoto(photo);
  return photo.id;
}

/** Sends what an earlier document of this browser left. */
export async function takeUpPhotos(): Promise<void> {
  for (const photo of await storedPhotos()) void send(photo);
}
