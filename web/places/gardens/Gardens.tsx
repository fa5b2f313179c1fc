import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { type Garden, emptyGarden } from '../../../core/garden/garden';
import { MAX_FILE_CHARS, readGarden, tooLarge } from '../../../core/garden/read';
import type { Fault } from '../../../core/base/result';
import { PlaceHead } from '../../app/Shell';
import { useApp, useAppDispatch } from '../../app/hooks';
import { freshName } from '../../../core/base/ids';
import { newId } from '../../app/names';
import { addGarden, removeGarden } from '../../app/saving';
import { wayTo } from '../../app/way';
import { database } from '../../app/world';
import { type Room, nearlyFull, roomLeft } from '../../keep/browser';
import { makeRoom } from '../../keep/db';
import { type Kept, readKept, sizeOf } from '../../keep/kept';
import { Button } from '../../parts/controls';
import { FileFaults, OpenFile } from '../../parts/OpenFile';
import { saveFile, saveGarden } from '../../parts/saveFile';

const Page = styled.div`
  overflow: auto;
  padding: 1.5rem 1.25rem 3rem;
  display: grid;
  gap: 1.6rem;
  align-content: start;
  max-width: 46rem;
  .lead {
    font-size: 1.25rem;
    line-height: 1.4;
  }
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
  }
  .garden {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    padding: 0.7rem 0;
    border-top: 1px solid var(--hair);
  }
  .garden b {
    flex: 1 1 10rem;
    overflow-wrap: anywhere;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  .faults {
    padding: 0.8rem 1rem;
    border-left: 4px solid var(--fails);
    background: var(--sheet);
    display: grid;
    gap: 0.3rem;
  }
`;

/** All gardens in this browser; where a first visit begins. */
export function Gardens(): ReactNode {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const open = useApp((s) => s.open);
  const aside = useApp((s) => s.aside);
  const [kept, setKept] = useState<Kept>();
  const [room, setRoom] = useState<Room>();
  const [faults, setFaults] = useState<{ readonly file: string; readonly list: readonly Fault[] }>();
  const [asking, setAsking] = useState<string>();
  const reload = (): void => {
    void readKept().then(setKept);
    void roomLeft().then(setRoom);
  };
  useEffect(reload, [open?.id, open?.doc, open?.save]);

  // What is kept nowhere but in this page is in the list too.
  const unkept = [...(open && !open.look ? [open] : []), ...aside];
  const rows: readonly { readonly id: string; readonly name: string; readonly doc: unknown }[] = [
    ...(kept ? unkept : [])
      .filter((garden) => !kept?.gardens.some((row) => row.id === garden.id))
      .map(({ id, doc }) => ({ id, name: doc.name, doc })),
    ...(kept?.gardens ?? []).map(({ id, name, doc }) => ({ id, name: typeof name === 'string' ? name : id, doc })),
  ];
  const take = async (doc: Garden): Promise<void> => {
    const id = newId();
    await dispatch(addGarden(id, doc));
    void navigate(wayTo(id, 'plot'));
  };
  const read = async (file: File): Promise<void> => {
    const garden = file.size > MAX_FILE_CHARS ? tooLarge() : readGarden(await file.text());
    setFaults(garden.ok ? undefined : { file: file.name, list: garden.faults });
    if (garden.ok) await take(garden.value);
  };
  const remove = async (id: string): Promise<void> => {
    await dispatch(removeGarden(id));
    setAsking(undefined);
    reload();
  };
  const full = room !== undefined && nearlyFull(room);

  return (
    <>
      <PlaceHead title="Gardens" subtitle={kept?.shut ? 'nothing is kept here' : 'kept in this browser'} />
      <Page>
        {kept?.shut && (
          <p role="alert">
            This browser lets Cabanon keep nothing, as in a private window. You can work all the same: save your garden
            to a file before you close the page, and open that file next time.
          </p>
        )}
        {rows.length === 0 && kept && (
          <p className="lead">Open the demo garden to look round, or start your own and measure its first bed.</p>
        )}
        <div className="deeds">
          <Button $strong={rows.length === 0} onPress={() => void navigate('/demo')}>
            Open the demo garden
          </Button>
          <Button
            onPress={() =>
              void take(
                emptyGarden(
                  freshName(
                    'My garden',
                    rows.map((r) => r.name),
                  ),
                ),
              )
            }
          >
            Start my own garden
          </Button>
          <OpenFile
            label="Open a garden file"
            fileLabel="Garden file"
            accept=".json,application/json"
            onFile={(file) => void read(file)}
          />
        </div>
        {faults && <FileFaults file={faults.file} faults={faults.list} />}
        <ul>
          {rows.map((row) => (
            <li className="garden" key={row.id}>
              <b>
                {row.name}
                {row.id === open?.id ? ' (open)' : ''}
                {aside.some((garden) => garden.id === row.id) ? ' (not saved)' : ''}
              </b>
              <Button onPress={() => void navigate(wayTo(row.id, 'plot'))}>Open</Button>
              <Button
                onPress={() => saveGarden(row.name, unkept.find((garden) => garden.id === row.id)?.doc ?? row.doc)}
              >
                Save to a file
              </Button>
              {asking === row.id ? (
                <>
                  <Button $strong onPress={() => void remove(row.id)}>
                    Delete it for good
                  </Button>
                  <Button onPress={() => setAsking(undefined)}>Keep it</Button>
                </>
              ) : (
                <Button aria-label={`Delete ${row.name}`} onPress={() => setAsking(row.id)}>
                  Delete
                </Button>
              )}
            </li>
          ))}
        </ul>
        {kept && kept.aside.length > 0 && (
          <section>
            <h2>Set aside</h2>
            <p className="quiet">
              Found damaged in this browser’s storage. What could be read is in use; this is how it was found.
            </p>
            <ul>
              {kept.aside.map((row) => (
                <li className="garden" key={row.key}>
                  <b>
                    {row.name}, {new Date(row.at).toLocaleDateString()}: {row.why}
                  </b>
                  <Button
                    onPress={() =>
                      saveFile(`${row.name} set aside.json`, 'application/json', JSON.stringify(row.found, null, 2))
                    }
                  >
                    Save it to a file
                  </Button>
                  <Button
                    aria-label={`Delete what was set aside of ${row.name}`}
                    onPress={() => void database.aside.delete(row.key).then(reload)}
                  >
                    Delete
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
        {room && (
          <p className="quiet">
            Storage used: {sizeOf(room.used)} of {sizeOf(room.most)}.{' '}
            {room.forGood
              ? 'This browser keeps it until you delete it.'
              : 'This browser may clear it when the machine runs short of room: now and then save your gardens to files.'}
          </p>
        )}
        {full && (
          <p role="alert" className="deeds">
            Storage is nearly full. Save to files what you no longer work on and delete it here, or let go of the ways
            back.
            <Button onPress={() => void makeRoom(database, open?.id ?? '').then(reload)}>
              Drop the undo steps of gardens that are not open
            </Button>
          </p>
        )}
      </Page>
    </>
  );
}
