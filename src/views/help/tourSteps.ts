/** The tour of the sample shop by doing: each step says what to do, and is over once it shows on the page. */

interface TourStep {
  says: string;
  /** Whether it was done, as the page shows it. */
  isDone: (path: string) => boolean;
}

const shows = (selector: string): boolean => document.querySelector(selector) !== null;
const isRun = (path: string) => /^\/orders\/[^/]+\/run/.test(path);

export const TOUR: readonly TourStep[] = [
  {
    says: 'The bench has every order, the next due on top. Press the button of the first one.',
    isDone: (path) => /^\/orders\/[^/]+\/card/.test(path),
  },
  {
    says: 'This is its card. The large figures are what to set. Touch the temperature to read why.',
    isDone: () => shows('article button[aria-expanded="true"]'),
  },
  {
    says: 'From the maker’s sheet to your own press: that is why. Now press “Start pressing”.',
    isDone: isRun,
  },
  {
    says: 'Before the first piece, what to look at. In the tour, press “Press without the rest”.',
    isDone: (path) => isRun(path) && shows('button[data-cue]:not([data-cue="gate"])'),
  },
  {
    says: 'One thing at a time. Touch the large words, or Space, when it is done; “Open early” ends a wait. The press here is made up: nothing is hot.',
    isDone: () => shows('[data-good]:not([data-good="0"])'),
  },
  {
    says: 'One good piece, and it is recorded. Go to the Log: key 6, or the section.',
    isDone: (path) => path === '/log',
  },
  {
    says: 'Your piece is on top. Open it, and “Reorder” would press it again just so. That was the tour: the bench is key 1, help is “?”.',
    isDone: () => false,
  },
];
