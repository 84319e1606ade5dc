/** Waits for what is to come, however busy the machine is; fails where it never comes. */
export async function until(isSo: () => boolean | Promise<boolean>): Promise<void> {
  for (let i = 0; i < 2000 && !(await isSo()); i++) await new Promise((then) => setTimeout(then, 5));
  expect(await isSo()).toBe(true);
}
