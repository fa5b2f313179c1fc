import { type ReactNode, useRef } from 'react';
import type { Fault } from '../../core/base/result';
import { Button } from './controls';

interface OpenFileProps {
  /** What the press says, and what the field for the file is called. */
  readonly label: string;
  readonly fileLabel: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

/** A press that asks for a file. */
export function OpenFile({ label, fileLabel, accept, onFile }: OpenFileProps): ReactNode {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onPress={() => picker.current?.click()}>{label}</Button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        aria-label={fileLabel}
        hidden
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) onFile(file);
          e.target.value = '';
        }}
      />
    </>
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
