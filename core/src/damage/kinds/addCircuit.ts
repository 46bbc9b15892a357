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
  },
  leaves: 'wire',
});
