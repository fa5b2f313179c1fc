import { type ReactNode, useEffect, useState } from 'react';
import styled from 'styled-components';
import { encode } from 'uqr';
import type { Result } from '../../core/base/result';
import { parcelOf } from '../../core/commands/parcel';
import { useGarden } from '../app/hooks';
import { linkOf } from '../app/link';
import { Sheet } from './Sheet';
import { Button } from './controls';
import { saveGarden } from './saveFile';

const Picture = styled.svg`
  width: 100%;
  height: auto;
  /* A code is read black on white, whatever the theme. */
  background: #fff;
`;

/** A cover to be taken along: as a code for a phone, as a link, or as a file. */
export default function TakeAlong({
  coverId,
  onClose,
}: {
  readonly coverId: string;
  readonly onClose: () => void;
}): ReactNode {
  const garden = useGarden();
  const [parcel] = useState(() => parcelOf(garden, coverId));
  const [link, setLink] = useState<Result<string>>();
  const [copied, setCopied] = useState('');
  useEffect(() => {
    if (parcel.ok) void linkOf(parcel.value, location.origin).then(setLink);
  }, [parcel]);
  if (!parcel.ok) return null;
  const copy = (text: string): void =>
    void navigator.clipboard.writeText(text).then(
      () => setCopied('Copied.'),
      () => setCopied('This browser does not let it be copied: take it from the address below.'),
    );
  return (
    <Sheet label="Take it along" onClose={onClose}>
      <h2>Take “{parcel.value.name}” along</h2>
      {link?.ok && (
        <>
          <Code text={link.value} />
          <p>
            Hold your phone’s camera to it. The cover is in the code itself, with its bed, place and prices: nothing is
            sent to any server.
          </p>
          <div className="deeds">
            <Button $strong onPress={() => copy(link.value)}>
              Copy a link
            </Button>
            <Button onPress={() => saveGarden(parcel.value.name, parcel.value)}>Save it to a file</Button>
            <Button onPress={onClose}>Close</Button>
          </div>
          {copied && <p role="status">{copied}</p>}
          {copied.startsWith('This') && <p className="measure quiet">{link.value}</p>}
          <p className="quiet">It opens on any device that reaches this address: {location.origin}.</p>
        </>
      )}
      {link && !link.ok && (
        <>
          <p role="alert">{link.faults[0]?.message}</p>
          <div className="deeds">
            <Button $strong onPress={() => saveGarden(parcel.value.name, parcel.value)}>
              Save it to a file
            </Button>
            <Button onPress={onClose}>Close</Button>
          </div>
        </>
      )}
      {!link && <p role="status">Folding it up…</p>}
    </Sheet>
  );
}

/** A text as a code for cameras. */
function Code({ text }: { readonly text: string }): ReactNode {
  const { size, data } = encode(text, { ecc: 'L', border: 3 });
  const path = data.map((row, y) => row.map((on, x) => (on ? `M${x} ${y}h1v1h-1z` : '')).join('')).join('');
  return (
    <Picture
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label="Code for a phone’s camera"
      shapeRendering="crispEdges"
    >
      <path d={path} fill="#000" />
    </Picture>
  );
}
