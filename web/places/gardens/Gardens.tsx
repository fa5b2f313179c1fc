import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { emptyGarden } from '../../../core/garden/garden';
import { readGarden, writeGarden } from '../../../core/garden/read';
import type { Fault } from '../../../core/base/result';
import { PlaceHead } from '../../app/Shell';
import { type GardenRow, deleteGarden } from '../../app/db';
import { useApp, useAppDispatch } from '../../app/hooks';
import { freshName, newId } from '../../app/names';
import { addGarden, closeGarden, openStored } from '../../app/store';
import { database } from '../../app/world';
import { Button } from '../../parts/controls';
import { FileFaults, OpenFile } from '../../parts/OpenFile';
import { saveFile } from '../../parts/saveFile';

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
  const openId = useApp((s) => s.open?.id);
  const openDoc = useApp((s) => s.open?.doc);
  const saveState = useApp((s) => s.open?.save);
  const [rows, setRows] = useState<readonly GardenRow[]>();
  const [faults, setFaults] = useState<{ readonly file: string; readonly list: readonly Fault[] }>();
  const [asking, setAsking] = useState<string>();
  const reload = (): void => void database.gardens.orderBy('savedAt').reverse().toArray().then(setRows);
  useEffect(reload, [openId, openDoc, saveState]);

  const start = async (name: string): Promise<void> => {
    await dispatch(addGarden(newId(), emptyGarden(freshName(name, rows?.map((r) => r.name) ?? []))));
    void navigate('/plot');
  };
  const take = async (file: File): Promise<void> => {
    const read = readGarden(await file.text());
    if (!read.ok) {
      setFaults({ file: file.name, list: read.faults });
      return;
    }
    setFaults(undefined);
    await dispatch(addGarden(newId(), read.value));
    void navigate('/plot');
  };
  const remove = async (id: string): Promise<void> => {
    await deleteGarden(database, id);
    if (id === openId) dispatch(closeGarden());
    setAsking(undefined);
    reload();
  };

  return (
    <>
      <PlaceHead title="Gardens" subtitle="kept in this browser" />
      <Page>
        {rows?.length === 0 && (
          <p className="lead">Open the demo garden to look round, or start your own and measure its first bed.</p>
        )}
        <div className="deeds">
          <Button $strong={rows?.length === 0} onPress={() => void navigate('/demo')}>
            Open the demo garden
          </Button>
          <Button onPress={() => void start('My garden')}>Start my own garden</Button>
          <OpenFile
            label="Open a garden file"
            fileLabel="Garden file"
            accept=".json,application/json"
            onFile={(file) => void take(file)}
          />
        </div>
        {faults && <FileFaults file={faults.file} faults={faults.list} />}
        <ul>
          {rows?.map((row) => (
            <li className="garden" key={row.id}>
              <b>
                {row.name}
                {row.id === openId ? ' (open)' : ''}
              </b>
              <Button
                onPress={() => {
                  void dispatch(openStored(row.id)).then((found) => found && navigate('/plot'));
                }}
              >
                Open
              </Button>
              <Button
                onPress={() =>
                  saveFile(
                    `${row.name}.json`,
                    'application/json',
                    writeGarden(row.id === openId && openDoc ? openDoc : row.doc),
                  )
                }
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
      </Page>
    </>
  );
}
