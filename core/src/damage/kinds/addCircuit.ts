import { runKind } from '../kind.ts';

export const addCircuit = runKind({
  kind: 'addCircuit',
  words: 'a circuit to be added here',
  own: {
    branchWires: { type: 'wires', required: true, title: 'Wires added', wanted: 'Say which wire is added.' },
    // The main wire must stay whole.
    mainUncut: { type: 'flag', required: false, title: 'The main wire must not be cut', wanted: 'Say yes or no.' },
    // An empty cavity that takes the added wire, with its terminal, in place of a joint.
    freeCavity: { type: 'cavity', required: false, title: 'Into a free cavity', wanted: 'Say which cavity is free.' },
    // Where it goes: its terminal and its route follow from that.
    otherEnd: {
      type: 'cavity',
      required: false,
      title: 'Its other end',
      wanted: 'Say in which cavity, or at which place, it ends.',
    },
    addedMm: {
      type: 'length',
      required: false,
      title: 'Length of the added wire',
      unit: 'mm',
      hint: 'Empty: as long as its route along the harness.',
      wanted: 'Enter a length above 0 mm, or leave it empty.',
    },
    addedLoadA: {
      type: 'amps',
      required: false,
      title: 'Load of the added circuit',
      unit: 'A',
      wanted: 'Enter a load above 0 A, or leave it empty.',
    },
    addedFuseA: {
      type: 'amps',
      required: false,
      title: 'Fuse of its own',
      unit: 'A',
      hint: 'Where it branches off; empty where it has none.',
      wanted: 'Enter a fuse above 0 A, or leave it empty.',
    },
  },
  leaves: 'wire',
});
