import { setUnits } from '../../../core/commands/place';
import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Fault } from '../../../core/base/result';
import { readBackup, writeBackup } from '../../../core/garden/backup';
import type { Garden } from '../../../core/garden/garden';
import { MAX_FILE_CHARS, tooLarge } from '../../../core/garden/read';
import { PlaceHead } from '../../app/PlaceHead';
import { useApp, useAppDispatch, useRun } from '../../app/hooks';
import { newId } from '../../app/names';
import { addGarden } from '../../app/saving';
import { setTheme, themeNow } from '../../app/screen';
import { noticeShown } from '../../app/state';
import { THEMES, type ThemeName } from '../../app/theme';
import { database } from '../../app/world';
import { type Room, nearlyFull, roomLeft } from '../../storage/browser';
import { makeRoom } from '../../storage/db';
import { sizeOf, useKept } from '../../storage/kept';
import { KeysTable } from '../../parts/Keys';
import { FaultList, FileFaults, OpenFile } from '../../parts/OpenFile';
import { ShopField, UnitFields } from '../../parts/UnitFields';
import { Button, Choice } from '../../parts/controls';
import { saveFile } from '../../parts/saveFile';
import { setReminding, useReminding } from '../../weather/reminding';

const Page = styled.div`
  overflow: auto;
  padding: 1.2rem 1.25rem 3rem;
  columns: 22rem 2;
  column-gap: 3rem;
  max-width: 62rem;
  section {
    break-inside: avoid;
    display: grid;
    align-content: start;
    margin-bottom: 1.8rem;
  }
  h2 {
    padding-bottom: 0.4rem;
    border-bottom: 1px solid var(--hair);
    margin-bottom: 0.4rem;
  }
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    padding: 0.5rem 0;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  .faults {
    display: grid;
    gap: 0.3rem;
    padding: 0.6rem 0.8rem;
    border-left: 4px solid var(--fails);
    background: var(--sheet);
  }
`;

/** What is set once: the garden's units and shops, this screen, the keys, what is kept and its copies. */
export function Settings(): ReactNode {
  const garden = useApp((s) => s.open?.doc);
  return (
    <>
      <PlaceHead title="Settings" subtitle={garden?.name ?? ''} />
      <Page>
        {garden && <OfGarden units={garden.units} />}
        <OfScreen />
        <Storage />
        <section aria-label="Keys">
          <h2>Keys</h2>
          <KeysTable />
        </section>
      </Page>
    </>
  );
}

function OfGarden({ units }: { readonly units: Garden['units'] }): ReactNode {
  const run = useRun();
  const set = (label: string, part: Partial<Garden['units']>) => run((g) => setUnits(g, label, part));
  return (
    <section aria-label="This garden">
      <h2>This garden</h2>
      <UnitFields units={units} onSet={set} />
      <ShopField units={units} onSet={set} />
    </section>
  );
}

function OfScreen(): ReactNode {
  const [theme, show] = useState(themeNow);
  const reminding = useReminding();
  return (
    <section aria-label="This screen">
      <h2>This screen</h2>
      <Choice
        label="Theme"
        value={theme}
        options={THEMES}
        onChange={(value) => {
          setTheme(value as ThemeName);
          show(value as ThemeName);
        }}
      />
      <Choice
        label="Reminders"
        value={reminding ? 'on' : 'off'}
        options={[
          { value: 'off', label: 'None', why: 'The day book and its calendar file tell.' },
          {
            value: 'on',
            label: 'While Cabanon is open',
            why: 'What the day book says of today, as its hour comes; nothing is sent anywhere.',
          },
        ]}
        onChange={(value) => setReminding(value === 'on')}
      />
    </section>
  );
}

/** What is kept in this browser, how much room is left, and copies of all of it. */
function Storage(): ReactNode {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const open = useApp((s) => s.open);
  const kept = useKept();
  const [room, setRoom] = useState<Room>();
  const [faults, setFaults] = useState<{ readonly file: string; readonly list: readonly Fault[] }>();
  const [left, setLeft] = useState<readonly Fault[]>([]);
  useEffect(() => {
    void roomLeft().then(setRoom);
  }, [kept]);
  const rows = kept?.gardens ?? [];
  const backUp = (): void => {
    const docs = rows.map((row) => (row.id === open?.id && !open.look ? open.doc : row.doc));
    saveFile(`Gardens ${new Date().toISOString().slice(0, 10)}.json`, 'application/json', writeBackup(docs));
  };
  const bringBack = async (file: File): Promise<void> => {
    const read = file.size > MAX_FILE_CHARS ? tooLarge() : readBackup(await file.text());
    setFaults(read.ok ? undefined : { file: file.name, list: read.faults });
    setLeft(read.ok ? read.value.left : []);
    if (!read.ok) return;
    for (const garden of read.value.gardens) await dispatch(addGarden(newId(), garden));
    const n = read.value.gardens.length;
    dispatch(noticeShown(`${n} ${n === 1 ? 'garden' : 'gardens'} brought back, beside those that were here.`));
    if (read.value.left.length === 0) void navigate('/gardens');
  };
  return (
    <section aria-label="What is kept here">
      <h2>What is kept here</h2>
      {kept?.shut && <p role="alert">Your gardens cannot be read here: {kept.shut}.</p>}
      {room && (
        <p>
          {rows.length} {rows.length === 1 ? 'garden' : 'gardens'}; {sizeOf(room.used)} of {sizeOf(room.most)} used.{' '}
          <span className="quiet">
            {room.forGood
              ? 'This browser keeps it until you delete it.'
              : 'This browser may clear it when the machine runs short of room: now and then back it up.'}
          </span>
        </p>
      )}
      <div className="deeds">
        <Button isDisabled={rows.length === 0} onPress={backUp}>
          Back up all gardens
        </Button>
        <OpenFile
          label="Bring gardens back"
          accept={['.json', 'application/json']}
          onFile={(file) => void bringBack(file)}
        />
      </div>
      <p className="quiet">One file with every garden and its figures. Brought back, they stand beside those here.</p>
      {faults && <FileFaults file={faults.file} faults={faults.list} />}
      {left.length > 0 && (
        <div className="faults" role="alert">
          <b>These were not brought back:</b>
          <FaultList faults={left} />
        </div>
      )}
      {room && nearlyFull(room) && (
        <div role="alert">
          <p>Storage is nearly full. Delete gardens that you no longer work on, or let go of the ways back.</p>
          <div className="deeds">
            <Button onPress={() => void makeRoom(database(), open?.id ?? '')}>
              Drop the undo steps of gardens that are not open
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
