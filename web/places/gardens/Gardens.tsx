import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Garden } from '../../../core/garden/garden';
import type { GardenPictures } from '../../../core/garden/pictures';
import { type Fault, fail } from '../../../core/base/result';
import { PlaceHead } from '../../app/PlaceHead';
import { useApp, useAppDispatch } from '../../app/hooks';
import { freshName } from '../../../core/base/ids';
import { proposedUnits } from '../../../core/site/locale';
import { lazyPart, loadPart } from '../../app/appUpdate';
import { newId } from '../../app/names';
import { addGarden, removeGarden } from '../../app/saving';
import { wayTo } from '../../app/way';
import { database } from '../../app/world';
import { type Room, nearlyFull, roomLeft } from '../../storage/browser';
import { dbRequest, makeRoom } from '../../storage/db';
import { useKept } from '../../storage/kept';
import { keepPictures } from '../../storage/pictures';
import { Button } from '../../parts/controls';
import { FileFaults, OpenFile } from '../../parts/OpenFile';
import { saveFile, saveGarden } from '../../parts/saveFile';
import { TryIt } from './TryIt';

// What a card shows is read, with every kind of cover; what is first drawn needs one.
const GardenCard = lazyPart(() => import('./GardenCard').then((m) => m.GardenCard));
const StartOwn = lazyPart(() => import('./StartOwn').then((m) => m.StartOwn));

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 1.4rem 1.25rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.25fr);
  gap: 2rem;
  .ways {
    display: grid;
    gap: 1.3rem;
    align-content: start;
    min-width: 0;
  }
  @media (max-width: 900px) {
    display: flex;
    flex-direction: column;
    > * {
      flex: none;
    }
    > :last-child {
      order: -1;
    }
  }
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
  const kept = useKept();
  const [room, setRoom] = useState<Room>();
  const [faults, setFaults] = useState<{ readonly file: string; readonly list: readonly Fault[] }>();
  const [asking, setAsking] = useState<string>();
  const [starting, start] = useState(false);
  const [units] = useState(() => proposedUnits(navigator.language));
  useEffect(() => {
    void roomLeft().then(setRoom);
  }, [kept]);

  // What is kept nowhere but in this page is in the list too.
  const unkept = [...(open && !open.look ? [open] : []), ...aside];
  const rows: readonly {
    readonly id: string;
    readonly name: string;
    readonly doc: unknown;
    readonly savedAt: number | undefined;
  }[] = [
    ...(kept ? unkept : [])
      .filter((garden) => !kept?.gardens.some((row) => row.id === garden.id))
      .map(({ id, doc }) => ({ id, name: doc.name, doc, savedAt: undefined })),
    ...(kept?.gardens ?? []).map(({ id, name, doc, savedAt }) => ({
      id,
      name: typeof name === 'string' ? name : id,
      doc,
      savedAt: typeof savedAt === 'number' ? savedAt : undefined,
    })),
  ];
  const take = async (doc: Garden, pictures: GardenPictures = {}): Promise<void> => {
    const id = newId();
    await dispatch(addGarden(id, doc));
    // Storage that keeps no garden keeps no pictures either, and has said so.
    await keepPictures(database(), id, pictures).catch(() => undefined);
    void navigate(wayTo(id, 'plot'));
  };
  const read = async (file: File): Promise<void> => {
    const reader = await loadPart(() => import('../../../core/garden/read')).catch(() => undefined);
    const garden = !reader
      ? fail('file', 'What reads a file could not be fetched. Try again with the network.')
      : file.size > reader.MAX_FILE_CHARS
        ? reader.tooLarge()
        : reader.readGardenFile(await file.text());
    setFaults(garden.ok ? undefined : { file: file.name, list: garden.faults });
    if (garden.ok) await take(garden.value.garden, garden.value.pictures);
  };
  const remove = async (id: string): Promise<void> => {
    await dispatch(removeGarden(id));
    setAsking(undefined);
  };
  const full = room !== undefined && nearlyFull(room);

  return (
    <>
      <PlaceHead title="Gardens" subtitle={kept?.shut ? 'nothing is kept here' : 'kept in this browser'} />
      <Page>
        <div className="ways">
          {kept?.shut && (
            <p role="alert">
              Your gardens cannot be read: {kept.shut}. You can work all the same: save your garden to a file before you
              close the page, and open that file next time.
            </p>
          )}
          {starting ? (
            <StartOwn
              name={freshName(
                'My garden',
                rows.map((r) => r.name),
              )}
              onStart={(garden) => void take(garden)}
              onLeave={() => start(false)}
            />
          ) : (
            <>
              <p className="lead">
                Plan a hoop house, low tunnel or cold frame over your own bed, and know every cut, sheet and price
                before you saw.
              </p>
              <div className="deeds">
                <Button $strong={rows.length === 0} onPress={() => void navigate('/demo')}>
                  Open the demo garden
                </Button>
                <Button onPress={() => start(true)}>Start my own garden</Button>
                <OpenFile
                  label="Open a garden file"
                  takes="garden"
                  accept={['.json', 'application/json']}
                  onFile={(file) => void read(file)}
                />
              </div>
            </>
          )}
          {faults && <FileFaults file={faults.file} faults={faults.list} />}
          {rows.length > 0 && (
            <section aria-label="Gardens kept here">
              <h2>Kept in this browser</h2>
              <ul>
                {rows.map((row) => (
                  <GardenCard
                    key={row.id}
                    {...row}
                    note={`${row.id === open?.id ? ' (open)' : ''}${aside.some((g) => g.id === row.id) ? ' (not saved)' : ''}`}
                  >
                    <Button aria-label={`Open ${row.name}`} onPress={() => void navigate(wayTo(row.id, 'plot'))}>
                      Open
                    </Button>
                    <Button
                      aria-label={`Save ${row.name} to a file`}
                      onPress={() => saveGarden(row.name, unkept.find((g) => g.id === row.id)?.doc ?? row.doc)}
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
                  </GardenCard>
                ))}
              </ul>
            </section>
          )}
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
                      onPress={() => void dbRequest(database(), (db) => db.aside.delete(row.key))}
                    >
                      Delete
                    </Button>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {full && (
            <p role="alert" className="deeds">
              Storage is nearly full. Save to files what you no longer work on and delete it here, or let go of the ways
              back.
              <Button onPress={() => void makeRoom(database(), open?.id ?? '')}>
                Drop the undo steps of gardens that are not open
              </Button>
            </p>
          )}
        </div>
        {!starting && <TryIt units={units} />}
      </Page>
    </>
  );
}
