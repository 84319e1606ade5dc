import { mutateJson, mutateText, randomFrom } from './mutations';
import { fuzzedReaders } from './readers';

/** Nothing that comes in may keep the processor busy for longer; how long a machine makes it wait is no fault of a reader. */
const LONGEST_MS = 2000;
const busy_ms = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

export interface Finding {
  readonly reader: string;
  readonly why: string;
  readonly text: string;
}

/**
 * Puts changed texts into every reader: none may throw, take more than two seconds of the processor, or take what it cannot give back.
 *
 * @param count     changed texts for each reader
 * @param progress  told the name of each reader when it is through
 */
export async function fuzz(count: number, seed: number, progress: (reader: string, findings: number) => void): Promise<Finding[]> {
  const findings: Finding[] = [];
  for (const reader of fuzzedReaders()) {
    const random = randomFrom(seed);
    const documents = reader.json ? reader.samples.map((s) => JSON.parse(s) as unknown) : [];
    const before = findings.length;
    for (let i = 0; i < count; i++) {
      const k = i % reader.samples.length;
      const text = reader.json ? (JSON.stringify(mutateJson(random, documents[k])) ?? 'null') : mutateText(random, reader.samples[k]!);
      const from = busy_ms();
      let why: string | null = null;
      try {
        await reader.read(text);
      } catch (error) {
        why = error instanceof Error ? `${error.name}: ${error.message}` : String(error);
      }
      const took = busy_ms() - from;
      if (took > LONGEST_MS) why ??= `took ${Math.round(took)} ms`;
      if (why !== null) findings.push({ reader: reader.name, why: why.slice(0, 300), text });
    }
    progress(reader.name, findings.length - before);
  }
  return findings;
}
