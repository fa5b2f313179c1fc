import { Canvas, useThree } from '@react-three/fiber';
import { type ReactNode, useEffect, useMemo } from 'react';
import {
  BoxGeometry,
  BufferGeometry,
  CatmullRomCurve3,
  DoubleSide,
  Float32BufferAttribute,
  Matrix4,
  Object3D,
  TubeGeometry,
  Vector3,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Member, SheetPart, Vec3 } from '../../core/assembly/types';
import { boardShape, section, tubeShape } from '../../core/catalog/sections';
import type { Outline } from '../../core/plan';

Object3D.DEFAULT_UP.set(0, 0, 1);

/** Colours from the theme in force; the canvas cannot read them itself. */
export interface RoundColours {
  readonly timber: string;
  readonly pipe: string;
  readonly film: string;
  readonly wall: string;
  readonly soil: string;
  readonly chalk: string;
}

interface RoundProps {
  readonly outline: Outline;
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
}

const vector = ([x, y, z]: Vec3): Vector3 => new Vector3(x, y, z);

/** A board as a box in its own place, or a pipe as a tube along its line. */
function memberGeometry(m: Member): BufferGeometry {
  const s = section(m.sectionKey);
  if (s.shape.kind === 'tube') {
    const points = m.shape.kind === 'curve' ? m.shape.points : [m.shape.from, m.shape.to];
    const curve = new CatmullRomCurve3(points.map(vector), false, 'centripetal');
    return new TubeGeometry(curve, points.length > 2 ? 72 : 1, tubeShape(s).outsideMm / 2, 10);
  }
  const { thicknessMm, widthMm } = boardShape(s);
  const box = new BoxGeometry(m.lengthMm, thicknessMm, widthMm);
  if (m.shape.kind !== 'straight') return box;
  const along = vector(m.shape.to).sub(vector(m.shape.from)).normalize();
  const wide = vector(m.shape.wide);
  const thin = new Vector3().crossVectors(wide, along);
  const middle = vector(m.shape.from).add(vector(m.shape.to)).multiplyScalar(0.5);
  box.applyMatrix4(new Matrix4().makeBasis(along, thin, wide).setPosition(middle));
  return box;
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

function Pieces({ outline: o, colours, lift, shown, picked, onPick }: RoundProps): ReactNode {
  const members = useMemo(() => o.assembly.members.map((m) => ({ m, geometry: memberGeometry(m) })), [o]);
  const sheets = useMemo(() => o.assembly.sheets.map((s) => ({ s, geometry: sheetGeometry(s) })), [o]);
  const colour = (m: Member): string =>
    m.tag === picked ? colours.chalk : section(m.sectionKey).shape.kind === 'board' ? colours.timber : colours.pipe;
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
            <meshStandardMaterial color={colour(m)} roughness={0.85} />
          </mesh>
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
    const turn = (turnDeg * Math.PI) / 180;
    const tilt = (tiltDeg * Math.PI) / 180;
    const away = Math.max(lengthMm, widthMm) * 1.15 + 900;
    const middle = new Vector3(lengthMm / 2, widthMm / 2, 400);
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
      <Eye {...props} />
    </Canvas>
  );
}
