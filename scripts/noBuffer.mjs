/** What asks for Node's Buffer in the browser gets none, as it expects there: packages ask whether there is one. */
export const Buffer = undefined;
