/** `expect(x).toBeWithin(y, { relative: 1e-6 })`: the tolerance is written at the call, relative or absolute. */
expect.extend({
  toBeWithin(received: unknown, expected: number, tolerance: { relative: number } | { absolute: number }) {
    const allowed = 'relative' in tolerance ? tolerance.relative * Math.abs(expected) : tolerance.absolute;
    const off = Math.abs((received as number) - expected);
    return { pass: off <= allowed, message: () => `expected ${String(received)} within ${allowed} of ${expected}, off by ${off}` };
  },
});

// eslint-disable-next-line @typescript-eslint/no-namespace, @typescript-eslint/no-unused-vars
declare namespace jest {
  interface Matchers<R> {
    toBeWithin(expected: number, tolerance: { relative: number } | { absolute: number }): R;
  }
}
