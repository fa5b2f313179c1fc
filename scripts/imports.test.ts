/** No file reaches itself again through what it imports: neither as code nor as types. */
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';

const files = ['core', 'web', 'cli', 'server'].flatMap((top) =>
  readdirSync(top, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f))
    .map((f) => join(top, f)),
);
const known = new Set(files);

/** What a file imports of the project. */
export function importsOf(file: string, text: string): readonly string[] {
  return [...text.matchAll(/(?:from|import)\s*\(?\s*'(\.[^']*)'/g)].flatMap(([, source = '']) => {
    const at = join(dirname(file), source);
    return [at, `${at}.ts`, `${at}.tsx`, join(at, 'index.ts')].filter((f) => known.has(f)).slice(0, 1);
  });
}

/** The first circle there is, as the files on it; empty where there is none. */
export function circle(imports: ReadonlyMap<string, readonly string[]>): readonly string[] {
  const done = new Set<string>();
  const walk = (file: string, path: readonly string[]): readonly string[] => {
    const back = path.indexOf(file);
    if (back >= 0) return path.slice(back);
    if (done.has(file)) return [];
    for (const next of imports.get(file) ?? []) {
      const found = walk(next, [...path, file]);
      if (found.length > 0) return found;
    }
    done.add(file);
    return [];
  };
  for (const file of imports.keys()) {
    const found = walk(file, []);
    if (found.length > 0) return found;
  }
  return [];
}

test('no import circles', () => {
  expect(files.length).toBeGreaterThan(150);
  expect(circle(new Map(files.map((f) => [f, importsOf(f, readFileSync(f, 'utf8'))])))).toEqual([]);
  // It sees one where there is one.
  const round = new Map([
    ['a', ['b']],
    ['b', ['c']],
    ['c', ['b']],
  ]);
  expect(circle(round)).toEqual(['b', 'c']);
});

/** What comes with a file as it is fetched: neither types nor what is fetched later. */
const comesWith = (file: string): readonly string[] =>
  importsOf(
    file,
    readFileSync(file, 'utf8')
      .replace(/^import (?:type [^;]*|\{(?:\s*type \w+,?)+\s*\} from [^;]*);/gm, '')
      .replace(/import\s*\([^)]*\)/g, ''),
  );

test('a page begins with the kinds that the demo stands for: all come with what reads a garden or lists them', () => {
  const began = new Set<string>();
  const go = (file: string): void => {
    if (began.has(file)) return;
    began.add(file);
    comesWith(file).forEach(go);
  };
  [
    'web/main.tsx',
    'web/places/gardens/Gardens.tsx',
    'web/places/bench/Bench.tsx',
    'core/garden/demo.ts',
    'core/evaluate.ts',
  ].forEach(go);
  const kinds = [...began].flatMap((f) => /^core\/cover\/families\/(\w+)\/index\.ts$/.exec(f)?.[1] ?? []);
  expect(kinds.sort()).toEqual(['hingedHoopLid', 'slopedColdFrame', 'stakedTunnel', 'wireTunnel']);
  for (const file of [
    'core/garden/read.ts',
    'core/explore/brief/find.ts',
    'web/background/jobs.ts',
    'core/explore/firstDesigns.ts',
  ])
    expect(comesWith(file)).toContain('core/cover/families/index.ts');
});

/** Names that a file exports: of what is declared and of what is passed on by another name. */
const exportsOf = (text: string): readonly string[] =>
  [...text.matchAll(/^export (?:async )?(?:function\*?|const|interface|type|class) (\w+)/gm)].flatMap(
    ([, name = '']) => name,
  );

test('one name is one thing: no two files export the same', () => {
  const by = new Map<string, string>();
  const twice = files.flatMap((file) =>
    exportsOf(readFileSync(file, 'utf8')).flatMap((name) => {
      const other = by.get(name);
      by.set(name, file);
      return other === undefined ? [] : [`${name}: ${other} and ${file}`];
    }),
  );
  expect(by.size).toBeGreaterThan(1000);
  expect(twice).toEqual([]);
});
