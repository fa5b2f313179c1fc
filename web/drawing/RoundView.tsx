import type { Assessment } from '../../core/assessment';
import { boardCorners } from '../../core/cover/assembly/solids';
import type { Vec3 } from '../../core/base/geometry';
import { Canvas, useThree } from '@react-three/fiber';
import { type ReactNode, useEffect, useMemo } from 'react';
import {
  BoxGeometry,
  BufferGeometry,
  CanvasTexture,
  CatmullRomCurve3,
  DoubleSide,
  ExtrudeGeometry,
  Float32BufferAttribute,
  Matrix4,
  Object3D,
  Path,
  Shape,
  TubeGeometry,
  Vector2,
  Vector3,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { inPlace, panelNormal } from '../../core/cover/assembly/pieces';
import type { Block, Member, Panel, SheetPart } from '../../core/cover/assembly/types';
import { jointKind } from '../../core/cover/joints';
import { tubeShape } from '../../core/catalog/sections';

Object3D.DEFAULT_UP.set(0, 0, 1);

/** Colours from the theme in force; the canvas cannot read them itself. */
export interface RoundColours {
  readonly timber: string;
  readonly pipe: string;
  readonly film: string;
  readonly wall: string;
  readonly soil: string;
  readonly straw: string;
  readonly plywood: string;
  readonly ink: string;
  readonly ground: string;
  readonly chalk: string;
}

interface RoundProps {
  readonly outline: Assessment;
  readonly colours: RoundColours;
  /** How far each piece is lifted out of its place, mm, by tag. */
  readonly lift: (tag: string) => number;
  /** Pieces not yet in place are not drawn. */
  readonly shown: (tag: string) => boolean;
  readonly picked: string | undefined;
  readonly onPick: (tag: string) => void;
  /** Where the eye stands: turned round and up, in degrees. */
  readonly turnDeg: number;
  readonly tiltDeg: number;
  /** The joint that is picked, by id. */
  readonly joint: string | undefined;
  readonly onPickJoint: (id: string) => void;
  /** Joints not yet made are not drawn. */
  readonly made: (id: string) => boolean;
  /** How far a joint is lifted with its pieces, mm. */
  readonly liftJoint: (id: string) => number;
  /** Tags beside the pieces. */
  readonly tagged: boolean;
}

const vector = ([x, y, z]: Vec3): Vector3 => new Vector3(x, y, z);

/** A board as a box in its own place, or a pipe as a tube along its line. */
function memberGeometry(m: Member): BufferGeometry {
  const s = m.section;
  if (s.shape.kind === 'tube') {
    const points = m.shape.kind === 'curve' ? m.shape.points : [m.shape.from, m.shape.to];
    const curve = new CatmullRomCurve3(points.map(vector), false, 'centripetal');
    return new TubeGeometry(curve, points.length > 2 ? 96 : 1, tubeShape(s).outsideMm / 2, 10);
  }
  const corners = boardCorners(m);
  // Six sides as the corners run: from end first, low and high edge, thin side and thick.
  const sides = [
    [0, 1, 3, 2],
    [4, 6, 7, 5],
    [0, 4, 5, 1],
    [2, 3, 7, 6],
    [0, 2, 6, 4],
    [1, 5, 7, 3],
  ];
  const positions = sides.flatMap(([a = 0, b = 0, c = 0, d = 0]) =>
    [a, b, c, a, c, d].flatMap((k) => [...(corners[k] ?? [0, 0, 0])]),
  );
  const board = new BufferGeometry();
  board.setAttribute('position', new Float32BufferAttribute(positions, 3));
  board.computeVertexNormals();
  return board;
}

/** The faces of a sheet as triangles; each face is a flat polygon. */
function sheetGeometry(sheet: SheetPart): BufferGeometry {
  const positions: number[] = [];
  for (const face of sheet.faces)
    for (let i = 2; i < face.length; i++) for (const p of [face[0], face[i - 1], face[i]]) if (p) positions.push(...p);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.computeVertexNormals();
  return geometry;
}

/** Welded mesh as its wires, from the sides of its squares. */
function wireGeometry(sheet: SheetPart): BufferGeometry {
  const positions = sheet.faces.flatMap((face) =>
    face.flatMap((p, i) => [...p, ...(face[(i + 1) % face.length] ?? p)]),
  );
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  return geometry;
}

/** A panel with its openings cut out, as thick as its sheet. */
function panelGeometry(p: Panel): BufferGeometry {
  const outline = new Shape(p.outline.map(([u, v]) => new Vector2(u, v)));
  outline.holes = p.openings.map((o) => new Path(o.map(([u, v]) => new Vector2(u, v))));
  const geometry = new ExtrudeGeometry(outline, { depth: p.sheet.thicknessMm, bevelEnabled: false });
  const n = panelNormal(p);
  geometry.applyMatrix4(new Matrix4().makeBasis(vector(p.u), vector(p.v), vector(n)).setPosition(vector(p.at)));
  return geometry;
}

function blockGeometry({ low, high }: Block): BufferGeometry {
  const box = new BoxGeometry(high[0] - low[0], high[1] - low[1], high[2] - low[2]);
  box.translate((low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2);
  return box;
}

/** A tag on a small plate that always faces the eye. */
function tagTexture(text: string, ink: string, ground: string): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = 128;
  canvas.height = 64;
  const g = canvas.getContext('2d');
  if (g) {
    g.fillStyle = ground;
    g.fillRect(0, 0, 128, 64);
    g.strokeStyle = ink;
    g.lineWidth = 3;
    g.strokeRect(1.5, 1.5, 125, 61);
    g.fillStyle = ink;
    g.font = '700 46px "Atkinson Hyperlegible Next", sans-serif';
    g.textAlign = 'center';
    g.textBaseline = 'middle';
    g.fillText(text, 64, 34);
  }
  return new CanvasTexture(canvas);
}

/** Where a piece's tag stands: the middle of a board, the crown of a hoop. */
function tagPlace(m: Member): Vec3 {
  const points = m.shape.kind === 'curve' ? m.shape.points : [m.shape.from, m.shape.to];
  if (m.shape.kind === 'curve') return points.reduce((best, p) => (p[2] > best[2] ? p : best));
  const [a = [0, 0, 0], b = [0, 0, 0]] = points;
  return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
}

function Tags({ outline: o, colours, lift, shown }: RoundProps): ReactNode {
  const plates = useMemo(
    () =>
      [
        ...o.assembly.members.map((m) => ({ tag: m.tag, at: tagPlace(m) })),
        ...o.assembly.panels.map((p) => ({ tag: p.tag, at: inPlace(p, middleOf(p.outline)) })),
      ].map((x) => ({ ...x, texture: tagTexture(x.tag, colours.ink, colours.ground) })),
    [o, colours],
  );
  return plates
    .filter(({ tag }) => shown(tag))
    .map(({ tag, at, texture }) => (
      <sprite key={tag} position={[at[0], at[1], at[2] + lift(tag)]} scale={[0.056, 0.028, 1]} renderOrder={5}>
        <spriteMaterial map={texture} sizeAttenuation={false} depthTest={false} toneMapped={false} transparent />
      </sprite>
    ));
}

function middleOf(outline: Panel['outline']): readonly [number, number] {
  const n = outline.length || 1;
  return [outline.reduce((s, c) => s + c[0], 0) / n, outline.reduce((s, c) => s + c[1], 0) / n];
}

function Pieces({ outline: o, colours, lift, shown, picked, onPick }: RoundProps): ReactNode {
  const solids = useMemo(
    () => [
      ...o.assembly.panels.map((p) => ({
        tag: p.tag,
        geometry: panelGeometry(p),
        clear: p.sheet.kind === 'glazing',
        colour: p.sheet.kind === 'glazing' ? colours.film : colours.plywood,
      })),
      ...o.assembly.blocks.map((b) => ({
        tag: b.tag,
        geometry: blockGeometry(b),
        clear: false,
        colour: colours.straw,
      })),
    ],
    [o, colours],
  );
  const members = useMemo(() => o.assembly.members.map((m) => ({ m, geometry: memberGeometry(m) })), [o]);
  const isMesh = (s: SheetPart): boolean => s.cover.kind === 'mesh';
  const sheets = useMemo(
    () => o.assembly.sheets.filter((s) => !isMesh(s)).map((s) => ({ s, geometry: sheetGeometry(s) })),
    [o],
  );
  const meshes = useMemo(() => o.assembly.sheets.filter(isMesh).map((s) => ({ s, geometry: wireGeometry(s) })), [o]);
  const colour = (m: Member): string =>
    m.tag === picked ? colours.chalk : m.section.shape.kind === 'board' ? colours.timber : colours.pipe;
  return (
    <>
      {members
        .filter(({ m }) => shown(m.tag))
        .map(({ m, geometry }) => (
          <mesh
            key={m.tag}
            geometry={geometry}
            position={[0, 0, lift(m.tag)]}
            onClick={(e) => {
              e.stopPropagation();
              onPick(m.tag);
            }}
          >
            <meshStandardMaterial color={colour(m)} roughness={0.85} side={DoubleSide} />
          </mesh>
        ))}
      {solids
        .filter(({ tag }) => shown(tag))
        .map(({ tag, geometry, clear, colour: fill }) => (
          <mesh
            key={tag}
            geometry={geometry}
            position={[0, 0, lift(tag)]}
            renderOrder={clear ? 2 : 0}
            onClick={(e) => {
              e.stopPropagation();
              onPick(tag);
            }}
          >
            <meshStandardMaterial
              color={tag === picked ? colours.chalk : fill}
              roughness={0.9}
              transparent={clear}
              opacity={clear ? 0.4 : 1}
              side={DoubleSide}
              depthWrite={!clear}
            />
          </mesh>
        ))}
      {meshes
        .filter(({ s }) => shown(s.tag))
        .map(({ s, geometry }) => (
          <lineSegments key={s.tag} geometry={geometry} position={[0, 0, lift(s.tag)]}>
            <lineBasicMaterial color={s.tag === picked ? colours.chalk : colours.ink} />
          </lineSegments>
        ))}
      {sheets
        .filter(({ s }) => shown(s.tag))
        .map(({ s, geometry }) => (
          <mesh key={s.tag} geometry={geometry} position={[0, 0, lift(s.tag)]} renderOrder={2}>
            <meshStandardMaterial
              color={s.tag === picked ? colours.chalk : colours.film}
              transparent
              opacity={0.32}
              side={DoubleSide}
              depthWrite={false}
            />
          </mesh>
        ))}
    </>
  );
}

/** A small octahedron where pieces are joined, a finer one along what is fastened along a line. */
function Joints({ outline: o, colours, made, joint, onPickJoint, liftJoint }: RoundProps): ReactNode {
  return o.assembly.joints
    .filter((j) => made(j.id) && jointKind(j.kind).symbol !== 'none')
    .map((j) => {
      const radius = jointKind(j.kind).symbol === 'point' ? 26 : 12;
      return (
        <group
          key={j.id}
          position={[0, 0, liftJoint(j.id)]}
          onClick={(e) => {
            e.stopPropagation();
            onPickJoint(j.id);
          }}
        >
          {j.places.map((at, i) => (
            <mesh key={i} position={[...at]}>
              <octahedronGeometry args={[j.id === joint ? 1.6 * radius : radius]} />
              <meshStandardMaterial color={j.id === joint ? colours.chalk : colours.ink} roughness={0.6} />
            </mesh>
          ))}
        </group>
      );
    });
}

function BedBoxes({ outline: o, colours }: RoundProps): ReactNode {
  const { bed, survey } = o.site;
  const { lengthMm: l, widthMm: w } = survey.frameOn;
  const { heightMm: h, thicknessMm: t } = bed.wall;
  const soil = h - bed.soilBelowRimMm;
  const boxes: readonly (readonly [size: Vec3, at: Vec3, colour: string])[] = [
    [[l, t, h], [l / 2, t / 2, h / 2], colours.wall],
    [[l, t, h], [l / 2, w - t / 2, h / 2], colours.wall],
    [[t, w - 2 * t, h], [t / 2, w / 2, h / 2], colours.wall],
    [[t, w - 2 * t, h], [l - t / 2, w / 2, h / 2], colours.wall],
    [[l - 2 * t, w - 2 * t, soil], [l / 2, w / 2, soil / 2], colours.soil],
  ];
  return boxes.map(([size, at, colour], i) => (
    <mesh key={i} position={[...at]}>
      <boxGeometry args={[...size]} />
      <meshStandardMaterial color={colour} roughness={1} />
    </mesh>
  ));
}

/** Sets the eye by turn and tilt; dragging moves it freely from there. */
function Eye({ outline: o, turnDeg, tiltDeg }: RoundProps): ReactNode {
  const { camera, gl, invalidate } = useThree();
  const controls = useMemo(() => new OrbitControls(camera, gl.domElement), [camera, gl]);
  useEffect(() => {
    const redraw = (): void => invalidate();
    controls.addEventListener('change', redraw);
    return () => {
      controls.removeEventListener('change', redraw);
      controls.dispose();
    };
  }, [controls, invalidate]);
  useEffect(() => {
    const { lengthMm, widthMm } = o.site.survey.frameOn;
    const points = [
      ...o.assembly.members.flatMap((m) => (m.shape.kind === 'curve' ? m.shape.points : [m.shape.from, m.shape.to])),
      ...o.assembly.blocks.flatMap((b) => [b.low, b.high]),
      ...o.assembly.sheets.flatMap((x) => x.faces.flat()),
      ...([
        [0, 0, 0],
        [lengthMm, widthMm, 400],
      ] as const),
    ];
    const reach = (k: 0 | 1 | 2): readonly [number, number] => [
      Math.min(...points.map((p) => p[k])),
      Math.max(...points.map((p) => p[k])),
    ];
    const [xs, ys, zs] = [reach(0), reach(1), reach(2)];
    const half = Math.hypot(xs[1] - xs[0], ys[1] - ys[0], zs[1] - zs[0]) / 2;
    const turn = (turnDeg * Math.PI) / 180;
    const tilt = (tiltDeg * Math.PI) / 180;
    // The whole of it fits the narrow way of the picture, seen at 35 degrees.
    const away = (half * 0.93) / Math.sin((35 / 2) * (Math.PI / 180));
    const middle = new Vector3((xs[0] + xs[1]) / 2, (ys[0] + ys[1]) / 2, (zs[0] + zs[1]) / 2);
    camera.position
      .set(Math.sin(turn) * Math.cos(tilt), -Math.cos(turn) * Math.cos(tilt), Math.sin(tilt))
      .multiplyScalar(away)
      .add(middle);
    controls.target.copy(middle);
    controls.update();
    invalidate();
  }, [camera, controls, invalidate, o, turnDeg, tiltDeg]);
  return null;
}

/** The assembly in the round. Drawn only when something changes. */
export default function RoundView(props: RoundProps): ReactNode {
  return (
    <Canvas frameloop="demand" camera={{ fov: 35, near: 10, far: 60000 }} aria-hidden="true">
      <ambientLight intensity={1.5} />
      <directionalLight position={[-2000, -4000, 6000]} intensity={2.2} />
      <directionalLight position={[5000, 3000, 2000]} intensity={0.8} />
      <BedBoxes {...props} />
      <Pieces {...props} />
      <Joints {...props} />
      {props.tagged && <Tags {...props} />}
      <Eye {...props} />
    </Canvas>
  );
}
