/** Fields that belong together, under their name. */
export function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="space-y-3">
      <legend className="pb-1 font-semibold">{title}</legend>
      {children}
    </fieldset>
  );
}
