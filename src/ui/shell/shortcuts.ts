/** Every key that does something, by where it does it. */
export const SHORTCUTS: readonly { readonly where: string; readonly keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K or ⌘ K', 'Go to a stand, a tray, a crop, a lamp or a page, or do something on this one'],
      ['Ctrl Z or ⌘ Z', 'Undo'],
      ['Ctrl Y or ⇧ ⌘ Z', 'Redo'],
      ['?', 'Show this list'],
    ],
  },
  {
    where: 'Bench',
    keys: [
      ['Arrow keys on a tier', 'Go to the tier above or below'],
      ['Tab', 'Go through the trays and lamps of that tier'],
      ['Arrow keys', 'Move what is chosen by one step of its hanger, or by a centimetre'],
      ['Shift with arrow keys', 'Move it by a larger step'],
      ['Enter', 'Choose a lamp or tray; once more: go to its fields'],
      ['Delete', 'Delete what is chosen'],
      ['Esc', 'Let go, or close the ruler'],
    ],
  },
  {
    where: 'Check',
    keys: [
      ['Arrow keys on the lamp', 'Move it up or down'],
      ['Arrow keys on the tray', 'Read the light from point to point'],
    ],
  },
];
