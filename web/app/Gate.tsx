/** Opens the garden that an address names, or says why it cannot be opened and what can be done. */
import { type ReactNode, useEffect, useState } from 'react';
import { Link, Navigate, Outlet, useNavigate, useParams } from 'react-router';
import { textToId } from '../../core/base/ids';
import { FaultList } from '../parts/OpenFile';
import { Button } from '../parts/controls';
import { Message } from '../parts/layout';
import { saveGarden } from '../parts/saveFile';
import { Waiting } from './Waiting';
import { loadPart } from './appUpdate';
import { demoOf } from './loads';
import { useApp, useAppDispatch } from './hooks';
import { addGarden, lookAt, type Opened, openStored } from './saving';
import { wayTo } from './way';
import { lastOpen } from '../storage/browser';

const DEMO_ID = 'demo';

type Answer = Exclude<Opened, { kind: 'open' }>;

function Refused({
  id,
  answer,
  again,
}: {
  readonly id: string;
  readonly answer: Answer;
  readonly again: () => void;
}): ReactNode {
  const dispatch = useAppDispatch();
  if (answer.kind === 'none')
    return (
      <Message>
        <h1>This garden is not in this browser</h1>
        <p>It was deleted, or it is kept in another browser or on another machine. Open its file, or another garden.</p>
        <p>
          <Link to="/gardens">All gardens</Link>
        </p>
      </Message>
    );
  if (answer.kind === 'shut')
    return (
      <Message role="alert">
        <h1>This garden cannot be fetched</h1>
        <p>Nothing could be read, as {answer.why}. Nothing has been changed.</p>
        <div className="deeds">
          <Button $strong onPress={again}>
            Try again
          </Button>
          <Link to="/gardens">All gardens</Link>
        </div>
      </Message>
    );
  const { stored } = answer;
  return (
    <Message role="alert">
      <h1>“{stored.name}” does not read as a whole</h1>
      <p>
        This Cabanon does not understand all of it: another version may have written it. It is kept as it is, and
        nothing will be saved over it.
      </p>
      <FaultList faults={stored.read.ok ? [] : stored.read.faults} />
      <div className="deeds">
        <Button $strong onPress={() => saveGarden(stored.name, stored.raw)}>
          Save it to a file as it is
        </Button>
        <Button onPress={() => dispatch(lookAt({ ...stored, id }))}>Look at what reads</Button>
        <Link to="/gardens">All gardens</Link>
      </div>
    </Message>
  );
}

/** Every place of a garden is behind its own gate. */
export function Gate(): ReactNode {
  const id = textToId(useParams()['gardenId'] ?? '');
  const dispatch = useAppDispatch();
  const here = useApp((s) => s.open?.id) === id;
  const [answer, setAnswer] = useState<{ readonly id: string; readonly answer: Answer }>();
  const [again, setAgain] = useState(0);
  useEffect(() => {
    if (here) return;
    let current = true;
    void dispatch(openStored(id)).then(async (opened) => {
      if (opened.kind === 'open' || !current) return;
      // The demo is made where it is not kept, or not yet: its first save may be under way.
      const demo = opened.kind === 'none' && id === DEMO_ID ? await loadPart(demoOf).catch(() => undefined) : undefined;
      if (!current) return;
      if (demo) void dispatch(addGarden(id, demo));
      else setAnswer({ id, answer: opened });
    });
    return () => {
      current = false;
    };
  }, [dispatch, id, here, again]);
  if (here) return <Outlet />;
  if (answer?.id !== id) return <Waiting />;
  return (
    <Refused
      id={id}
      answer={answer.answer}
      again={() => {
        setAnswer(undefined);
        setAgain((n) => n + 1);
      }}
    />
  );
}

/** Where Cabanon opens: at the garden that was open last, or at the list of gardens. */
export function Home(): ReactNode {
  const openId = useApp((s) => s.open?.id);
  const id = openId ?? lastOpen();
  return <Navigate to={id === null ? '/gardens' : wayTo(id, 'plot')} replace />;
}

/** Opens the demo garden, made afresh when it is not in this browser yet; never over anything that is. */
export function Demo(): ReactNode {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [broken, setBroken] = useState<unknown>();
  useEffect(() => {
    const open = async (): Promise<void> => {
      // Fetched while storage is asked whether it is needed.
      const made = loadPart(demoOf);
      made.catch(() => undefined);
      let id = DEMO_ID;
      // Where nothing was ever open there is nothing to ask storage for: it is fetched beside the drawing.
      let came: Opened = lastOpen() === null ? { kind: 'none' } : await dispatch(openStored(id));
      for (let n = 2; came.kind === 'unreadable'; n++) came = await dispatch(openStored((id = `${DEMO_ID}-${n}`)));
      if (came.kind !== 'open') {
        // What cannot be kept is said where the garden is; it is not waited for.
        void dispatch(addGarden(id, await made));
      }
      void navigate(wayTo(id, 'bench', 'winter-lid'), { replace: true });
    };
    open().catch(setBroken);
  }, [dispatch, navigate]);
  if (broken !== undefined) throw broken;
  return <Waiting />;
}
