import { type ReactNode, useEffect, useState } from 'react';
import styled from 'styled-components';
import { messageOf } from '../../../core/base/result';
import { MOST_OF_ENTRY, MOST_OF_FILE } from '../../../core/garden/pictures';
import { writeGarden } from '../../../core/garden/write';
import { useApp, useGarden } from '../../app/hooks';
import { newId } from '../../app/names';
import { database } from '../../app/world';
import { type Room, roomLeft } from '../../storage/browser';
import { sizeOf } from '../../storage/kept';
import { keepOnly, keepPicture, pictureOf, picturesFor, picturesRoom, scaledDown } from '../../storage/pictures';
import { OpenFile } from '../../parts/OpenFile';
import { Button } from '../../parts/controls';
import { saveFile } from '../../parts/saveFile';
import { ToggleButton } from 'react-aria-components';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
  img {
    display: block;
    height: 4.5rem;
    border: 1px solid var(--hair);
  }
  img.large {
    height: auto;
    max-width: min(100%, 40rem);
  }
  .look {
    border: 0;
    padding: 0;
    background: none;
    cursor: zoom-in;
  }
  figure {
    margin: 0;
    display: grid;
    gap: 0.2rem;
  }
`;

/** One picture of the open garden, small until it is pressed. */
function Picture({ of, about }: { readonly of: string; readonly about: string }): ReactNode {
  const gardenId = useApp((s) => s.open?.id ?? '');
  const [url, setUrl] = useState<string | null>();
  const [large, setLarge] = useState(false);
  useEffect(() => {
    let made: string | undefined;
    let gone = false;
    void pictureOf(database(), gardenId, of).then((picture) => {
      if (gone) return;
      made = picture && URL.createObjectURL(picture);
      setUrl(made ?? null);
    });
    return () => {
      gone = true;
      if (made !== undefined) URL.revokeObjectURL(made);
    };
  }, [gardenId, of]);
  if (url === undefined) return null;
  if (url === null) return <span className="quiet">A picture that is not kept in this browser.</span>;
  return (
    <ToggleButton className="look" isSelected={large} onChange={setLarge}>
      <img src={url} alt={about} className={large ? 'large' : ''} />
    </ToggleButton>
  );
}

/** The pictures of an entry. */
export function PicturesPanel({
  keys,
  about,
}: {
  readonly keys: readonly string[];
  readonly about: string;
}): ReactNode {
  if (keys.length === 0) return null;
  return (
    <Row>
      {keys.map((key, i) => (
        <Picture key={key} of={key} about={`${about}, picture ${i + 1}`} />
      ))}
    </Row>
  );
}

/** Pictures for an entry that is being written: scaled down, and kept only if there is room. */
export function AddPictures({
  keys,
  onSet,
}: {
  readonly keys: readonly string[];
  readonly onSet: (keys: string[]) => void;
}): ReactNode {
  const gardenId = useApp((s) => s.open?.id ?? '');
  const [fault, setFault] = useState<string>();
  const add = async (file: File): Promise<void> => {
    setFault(undefined);
    let picture: Blob;
    try {
      picture = await scaledDown(file);
    } catch {
      return setFault(`“${file.name}” is no picture that can be read: take a JPEG or a PNG.`);
    }
    const room = await roomLeft();
    if (room && room.used + 2 * picture.size > room.most)
      return setFault(`There is no room left for it: ${sizeOf(picture.size)} in ${sizeOf(room.most - room.used)}.`);
    const key = newId();
    try {
      await keepPicture(database(), { gardenId, key, picture });
    } catch (why) {
      return setFault(`This browser does not keep it (${messageOf(why)}).`);
    }
    onSet([...keys, key]);
  };
  return (
    <>
      <Row>
        {keys.map((key, i) => (
          <figure key={key}>
            <Picture of={key} about={`New picture ${i + 1}`} />
            <Button aria-label={`Take picture ${i + 1} away`} onPress={() => onSet(keys.filter((k) => k !== key))}>
              Take away
            </Button>
          </figure>
        ))}
        {keys.length < MOST_OF_ENTRY && (
          <OpenFile label="Add a picture" takes="picture" accept={['image/*']} onFile={(file) => void add(file)} />
        )}
      </Row>
      {fault !== undefined && <p role="alert">{fault}</p>}
    </>
  );
}

/** How much room the pictures take, and the way to take them along or let go of them. */
export function PicturesRoom(): ReactNode {
  const garden = useGarden();
  const gardenId = useApp((s) => s.open?.id ?? '');
  const edits = useApp((s) => s.open?.edits);
  const [taken, setTaken] = useState<{ readonly count: number; readonly bytes: number }>();
  const [room, setRoom] = useState<Room>();
  const keys = garden.log.flatMap((e) => e.pictures);
  const shown = keys.length;
  useEffect(() => {
    void picturesRoom(database(), gardenId).then(setTaken);
    void roomLeft().then(setRoom);
  }, [gardenId, shown]);
  if (!taken || (taken.count === 0 && shown === 0)) return null;
  const unseen = taken.count - new Set(keys).size;
  return (
    <section aria-label="Pictures">
      <h2>Pictures</h2>
      <p>
        {taken.count} {taken.count === 1 ? 'picture' : 'pictures'}, {sizeOf(taken.bytes)}
        {room ? ` of the ${sizeOf(room.most - room.used + taken.bytes)} that there is room for` : ''}. They are kept in
        this browser, and go into a file only when you ask for it.
      </p>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: '0.5rem', marginTop: '0.5rem' }}>
        {shown > 0 && (
          <Button
            isDisabled={shown > MOST_OF_FILE}
            onPress={() =>
              void picturesFor(database(), gardenId, keys).then((pictures) =>
                saveFile(`${garden.name} with pictures.json`, 'application/json', writeGarden(garden, pictures)),
              )
            }
          >
            Save the garden with its pictures
          </Button>
        )}
        {unseen > 0 && (
          <Button
            onPress={() => {
              // What can be undone to may show it again.
              const undone = JSON.stringify(edits ?? []);
              void keepOnly(database(), gardenId, (key) => keys.includes(key) || undone.includes(key))
                .then(() => picturesRoom(database(), gardenId))
                .then(setTaken);
            }}
          >
            Let go of pictures that no entry shows
          </Button>
        )}
      </div>
      {shown > MOST_OF_FILE && <p className="quiet">A file takes at most {MOST_OF_FILE} pictures.</p>}
    </section>
  );
}
