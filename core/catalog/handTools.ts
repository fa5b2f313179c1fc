/** Tools that the steps of building ask for, by key; their names are said in the garden's units. */
import { type Amount, type Phrase, amount, phrase } from '../base/figure';
import { MM_PER_INCH } from '../base/length';

/** Drill bits, by what they are for. Source: trade sizes for the screws of the list. */
const BITS = {
  /** A pilot in wood for the screws of straps and sockets. */
  strap: MM_PER_INCH * (3 / 32),
  /** A pilot in wood for the screws of a frame, or through plastic pipe. */
  screw: MM_PER_INCH / 8,
  /** A hole that a screw slides through, so that sheet can move in the heat. */
  sheet: MM_PER_INCH / 4,
  /** A hole that the blade of a jigsaw goes in. */
  blade: (MM_PER_INCH * 3) / 8,
};

/** The size of a bit, within a sentence. */
export const bit = (use: keyof typeof BITS): Amount => amount(BITS[use], 'bit');

interface HandTool {
  readonly name: string;
  /** The size or the kind of its bit. */
  readonly bit?: Amount | string;
}

const named = (name: string): HandTool => ({ name });
const drillWith = (size: Amount | string): HandTool => ({ name: 'drill', bit: size });

export const HAND_TOOLS = {
  tape: named('tape'),
  square: named('square'),
  pencil: named('pencil'),
  marker: named('marker'),
  string: named('string'),
  'chalk line': named('chalk line'),
  level: named('level'),
  'bevel gauge': named('bevel gauge'),
  'straight board': named('straight board'),
  'circular saw': named('circular saw'),
  'hand saw': named('hand saw'),
  hacksaw: named('hacksaw'),
  jigsaw: named('jigsaw'),
  shear: named('shear cutter'),
  'bolt cutter': named('bolt cutter'),
  pliers: named('pliers'),
  knife: named('knife'),
  rasp: named('rasp'),
  file: named('file'),
  drill: named('drill'),
  'strap bit': drillWith(bit('strap')),
  'screw bit': drillWith(bit('screw')),
  'sheet bit': drillWith(bit('sheet')),
  'blade bit': drillWith(bit('blade')),
  'spade bit': drillWith('spade'),
  'masonry bit': drillWith('masonry'),
  driver: named('driver'),
  wrench: named('wrench'),
  hammer: named('hammer'),
  mallet: named('mallet'),
  'rubber mallet': named('rubber mallet'),
  stapler: named('stapler'),
  'iron bar': named('iron bar'),
  'conduit bender': named('conduit bender'),
  clamps: named('clamps'),
  rope: named('rope'),
  ladder: named('ladder'),
  pegs: named('pegs'),
  'sledge hammer': named('sledge hammer'),
  'post-hole digger': named('post-hole digger'),
  bucket: named('bucket'),
  brush: named('brush'),
  'fine saw': named('fine saw'),
  gloves: named('gloves'),
  'eye protection': named('eye protection'),
} satisfies Readonly<Record<string, HandTool>>;

export type ToolKey = keyof typeof HAND_TOOLS;
export const TOOL_KEYS = Object.keys(HAND_TOOLS) as readonly ToolKey[];

const toolOf = (key: ToolKey): HandTool => HAND_TOOLS[key];

/** The tool that one needs for it: a drill for each of its bits. */
export const toolItself = (key: ToolKey): ToolKey => (toolOf(key).bit === undefined ? key : 'drill');

/** The name of a tool itself, without its bit. */
export const plainToolName = (key: ToolKey): string => toolOf(key).name;

/** The name of a tool, with the size of its bit. */
export function toolName(key: ToolKey): Phrase {
  const { name, bit: size } = toolOf(key);
  return size === undefined ? [name] : phrase`${name}, ${size} bit`;
}
