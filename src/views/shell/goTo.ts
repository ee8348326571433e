/** Goes to a page of the app without leaving the document, so that clocks and the rail live on. */
import { navigate } from 'astro:transitions/client';

export const goTo = (href: string): void => void navigate(href);
