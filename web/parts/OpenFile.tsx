import { type ReactNode, useEffect, useEffectEvent } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useLocation, useNavigate } from 'react-router';
import { type FileUse, droppedFile } from '../app/dropped';
import type { Fault } from '../../core/base/result';
import { Button } from './controls';

interface OpenFileProps {
  /** What the press says. */
  readonly label: string;
  /** What it takes of the files that are dropped on a page; nothing where it is not said. */
  readonly takes?: FileUse;
  readonly accept: readonly string[];
  readonly onFile: (file: File) => void;
}

/** A press that asks for a file; where one of its kind was dropped on any page, that is it. */
export function OpenFile({ label, takes, accept, onFile }: OpenFileProps): ReactNode {
  const { state, pathname } = useLocation();
  const navigate = useNavigate();
  const dropped = takes === undefined ? undefined : droppedFile(state, takes);
  const take = useEffectEvent((file: File) => {
    onFile(file);
    void navigate(pathname, { replace: true, state: null });
  });
  useEffect(() => {
    if (dropped) take(dropped);
  }, [dropped]);
  return (
    <FileTrigger
      acceptedFileTypes={accept}
      onSelect={(files) => {
        const [file] = files ?? [];
        if (file) onFile(file);
      }}
    >
      <Button>{label}</Button>
    </FileTrigger>
  );
}

const MOST_FAULTS = 6;

/** Faults, the first few of them. */
export function FaultList({ faults }: { readonly faults: readonly Fault[] }): ReactNode {
  return (
    <>
      {faults.slice(0, MOST_FAULTS).map((f, i) => (
        <span key={i} style={{ overflowWrap: 'anywhere' }}>
          <span className="measure">{f.field}</span>: {f.message}
        </span>
      ))}
      {faults.length > MOST_FAULTS && <span>and {faults.length - MOST_FAULTS} more.</span>}
    </>
  );
}

/** Why a file was not opened, fault by fault; nothing has changed. */
export function FileFaults({ file, faults }: { readonly file: string; readonly faults: readonly Fault[] }): ReactNode {
  return (
    <div className="faults" role="alert">
      <b>“{file}” was not opened. Nothing has changed.</b>
      <FaultList faults={faults} />
    </div>
  );
}
