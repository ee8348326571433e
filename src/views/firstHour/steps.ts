/** The steps of the first hour in words: what is done in each, and what it is good for. */
import type { FirstStep } from '../../core/firstHour';
import type { DrawingName } from '../../ui/Drawing';

interface StepWords {
  title: string;
  why: string;
  drawing: DrawingName;
  /** What stands there once it is left out. */
  later: string;
}

export const STEP_WORDS: Record<FirstStep, StepWords> = {
  units: {
    title: 'Your units',
    why: 'Every figure is shown and typed in them. Another unit may still be typed: 5 cm is understood in a shop of inches.',
    drawing: 'units',
    later: 'Change them at any time under House.',
  },
  press: {
    title: 'Your press',
    why: 'Settings are worked out for your press: its size, its steps, its gauge. Nothing can be set without one.',
    drawing: 'clamshell',
    later: 'Without a press there is no card.',
  },
  measure: {
    title: 'Measure it',
    why: 'A press may be many degrees off what it shows, and colder at a corner. Until yours is measured every card says Care.',
    drawing: 'survey',
    later: 'Until then it is taken to be as far off as presses may be.',
  },
  transfers: {
    title: 'Your transfers',
    why: 'Each kind of transfer is here with general figures. The sheet that came with yours is better: its own figures come first.',
    drawing: 'sheet',
    later: 'General figures are used.',
  },
  order: {
    title: 'First order',
    why: 'What is pressed on, which transfer, how large, how many. The settings follow from that.',
    drawing: 'order',
    later: 'Start one under Orders.',
  },
  card: {
    title: 'First card',
    why: 'The card has what to set, each step in order, and a lamp that says how sure it is, with its reasons.',
    drawing: 'card',
    later: 'It is a station of the order.',
  },
  piece: {
    title: 'First piece',
    why: 'The run leads through every step and times it. What was set and how it came out is recorded, so that a reorder comes out the same.',
    drawing: 'piece',
    later: 'Start it from the order.',
  },
};
