/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { readLength, showLength } from '@/core/units/length';
import { TypedField } from './TypedField';

function shown() {
  const taken: number[] = [];
  render(
    <TypedField
      label="lamp to leaves"
      shown={showLength(0.3, 'cm')}
      read={(text) => readLength(text, 'cm')}
      refuse={(v) => (v < 0.01 ? 'At least 1 cm.' : null)}
      hint="A length, such as 30 cm or 12in."
      onChange={(v) => taken.push(v)}
    />,
  );
  return { taken, field: screen.getByRole<HTMLInputElement>('textbox', { name: 'lamp to leaves' }) };
}

test('what is typed is taken once, with Enter or on leaving', async () => {
  const user = userEvent.setup();
  const { taken, field } = shown();
  await user.clear(field);
  await user.type(field, '12in{Enter}');
  expect(taken).toEqual([expect.closeTo(0.3048, 9)]);
  await user.tab();
  expect(taken).toHaveLength(1);
  await user.clear(field);
  await user.type(field, '45');
  await user.tab();
  expect(taken[1]).toBeCloseTo(0.45, 9);
});

test('what can’t be read stays in the field with the reason, and so does what can’t be used', async () => {
  const user = userEvent.setup();
  const { taken, field } = shown();
  await user.clear(field);
  await user.type(field, 'a hand');
  await user.tab();
  expect(field.value).toBe('a hand');
  expect(screen.getByRole('alert').textContent).toBe('A length, such as 30 cm or 12in.');
  expect(field.getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
  await user.clear(field);
  await user.type(field, '2 mm{Enter}');
  expect(screen.getByRole('alert').textContent).toBe('At least 1 cm.');
  expect([field.value, taken]).toEqual(['2 mm', []]);
});

test('Escape gives up what was typed; the same value again is no change', async () => {
  const user = userEvent.setup();
  const { taken, field } = shown();
  await user.clear(field);
  await user.type(field, '99{Escape}');
  expect(field.value).toBe('30 cm');
  await user.clear(field);
  await user.type(field, '30 cm{Enter}');
  expect(taken).toEqual([]);
});
