import { expect, test } from 'vitest';
import type { Choices } from '../api/client';
import { patched } from './patched';

const choices = { policy: 'AA', wires: { 'paper/link': 'lamp' }, large_only: [] } as unknown as Choices;

test('wires, pins and lists are patched on a copy', () => {
  const made = patched(choices, [
    { op: 'remove', path: '/wires/paper~1link' },
    { op: 'add', path: '/pins/ground~1paper~1link', value: '#123456' },
    { op: 'add', path: '/large_only/-', value: 'brand' },
    { op: 'replace', path: '/policy', value: 'AAA' },
  ]);
  expect(made).toEqual({
    policy: 'AAA',
    wires: {},
    large_only: ['brand'],
    pins: { 'ground/paper/link': '#123456' },
  });
  expect(choices.wires).toEqual({ 'paper/link': 'lamp' });
});
