import type { JobKind } from '@/core/plan/jobs';

interface JobWords {
  /** As it is counted: "to feed: 3". */
  noun: string;
  /** After the code of its box, once it is done: "B3: fed." */
  done: string;
  /** On the sheet of an absence, for somebody who does not know the animals; its noun where it is on none. */
  task?: string;
  /** After "waiting:", while the animal is left alone. */
  waiting?: string;
}

/** Each kind of job in words. One that is not told here does not compile. */
export const JOB_WORDS: Record<JobKind, JobWords> = {
  alarm: { noun: 'alarms', done: 'looked at.' },
  'prey-out': { noun: 'prey out', done: 'prey taken out.', task: 'Take the prey out' },
  leftovers: { noun: 'leftovers', done: 'nothing left.', task: 'Take out what is left of the food' },
  search: {
    noun: 'leaves to search',
    done: 'old leaves searched, thrown away.',
    task: 'Look through the old leaves for young, then throw them away',
  },
  feed: { noun: 'to feed', done: 'fed.', task: 'Give food', waiting: 'food' },
  damp: { noun: 'to damp', done: 'soil damped.', task: 'Pour water onto the damp end of the soil' },
  mist: { noun: 'to mist', done: 'misted.', task: 'Mist leaves and walls, twice', waiting: 'misting' },
  water: { noun: 'dishes', done: 'dish filled.', task: 'Rinse the dish, fill it' },
  calcium: { noun: 'lime', done: 'lime looked at.', task: 'Look at the lime: a new piece if it is worn' },
  clutch: { noun: 'egg checks', done: 'soil searched, no eggs.', task: 'Search the soil for eggs' },
  barrier: { noun: 'barriers', done: 'barrier renewed.', task: 'Renew the barrier on the rim' },
  rubbish: { noun: 'rubbish', done: 'rubbish taken out.', task: 'Take the rubbish heap out' },
  clean: {
    noun: 'to clean',
    done: 'droppings and remains out.',
    task: 'Take droppings and remains out',
    waiting: 'cleaning',
  },
  turn: { noun: 'soil to turn', done: 'soil turned.', task: 'Turn the soil', waiting: 'turning the soil' },
  refresh: { noun: 'soil to refresh', done: 'half of the soil refreshed.', waiting: 'fresh soil' },
  weigh: { noun: 'to weigh', done: 'weighed.', waiting: 'weighing' },
  measure: { noun: 'to measure', done: 'measured.', waiting: 'measuring' },
  census: { noun: 'to count', done: 'counted.', waiting: 'the count' },
  'check-buried': { noun: 'to look for', done: 'looked for.' },
  look: { noun: 'to look in from outside', done: 'looked at, nothing new.' },
  hatch: {
    noun: 'eggs to look at',
    done: 'looked at, none out.',
    task: 'Look whether any have hatched: leave them in, with a fresh leaf, and say so',
  },
  emerge: {
    noun: 'cocoons to look at',
    done: 'looked at, none out.',
    task: 'Look whether a moth is out: do not touch it while its wings hang',
  },
  hold: { noun: 'cocoons to carry', done: 'carried.', task: 'Carry the cocoons: see their page' },
  pair: { noun: 'pairs to put together', done: 'put together.' },
  battery: { noun: 'batteries', done: 'battery changed.', waiting: 'a battery' },
  label: { noun: 'labels', done: 'label put right.' },
  papers: { noun: 'papers to renew', done: 'papers renewed.' },
  rest: { noun: 'steps of rests', done: 'step of its rest done.', task: 'Step of its winter rest: see its page' },
  soil: { noun: 'soil to set', done: 'soil set.', waiting: 'its soil' },
  mend: { noun: 'to mend', done: 'mended.', waiting: 'mending its box' },
  move: { noun: 'moves', done: 'moved.', waiting: 'its move' },
  rehouse: { noun: 'to rehouse', done: 'moved.', waiting: 'another box' },
};
