import { type ReactNode, useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Result } from '../../../core/base/result';
import { familyOf } from '../../../core/cover/families/registry';
import { evaluate } from '../../../core/evaluate';
import type { Garden } from '../../../core/garden/garden';
import { quickShop } from '../../../core/cut';
import { putParcelIn } from '../../../core/commands/parcel';
import { fitView } from '../../../core/show/viewLayout';
import { PlaceHead } from '../../app/PlaceHead';
import { stripFigures } from '../../app/figures';
import { ShownUnits, useApp, useAppDispatch } from '../../app/hooks';
import { readLink } from '../../app/link';
import { newId } from '../../app/names';
import { addGarden, openStored } from '../../app/saving';
import { run } from '../../app/store';
import { wayTo } from '../../app/way';
import { ViewDrawing, useView } from '../../drawing/ViewDrawing';
import { useSize } from '../../drawing/useSize';
import { useKept } from '../../storage/kept';
import { FaultList } from '../../parts/OpenFile';
import { Button } from '../../parts/controls';
import { Message } from '../../parts/layout';
import { Facts } from '../../parts/lists';

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 1.2rem 1.25rem 2rem;
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 2rem;
  align-content: start;
  .drawing {
    height: 26rem;
  }
  .where {
    display: grid;
    gap: 0.6rem;
    justify-items: start;
    padding-top: 1.2rem;
  }
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
    .drawing {
      height: 22rem;
    }
  }
`;

/** A cover that came in a link: looked at first, then put where its gardener says. */
export function Take(): ReactNode {
  const { hash } = useLocation();
  const [read, setRead] = useState<{ readonly hash: string; readonly result: Result<Garden> }>();
  useEffect(() => {
    void readLink(hash).then((result) => setRead({ hash, result }));
  }, [hash]);
  const result = read?.hash === hash ? read.result : undefined;
  if (!result)
    return (
      <Message>
        <h1>A cover in a link</h1>
        <p role="status">Unfolding it…</p>
      </Message>
    );
  if (!result.ok) return <Broken faults={result.faults} />;
  return (
    <ShownUnits value={result.value.units}>
      <Looked parcel={result.value} />
    </ShownUnits>
  );
}

function Broken({ faults }: { readonly faults: readonly { field: string; message: string }[] }): ReactNode {
  const navigate = useNavigate();
  return (
    <Message role="alert">
      <h1>This link holds no cover that can be opened</h1>
      <p>Nothing has been changed.</p>
      <FaultList faults={faults} />
      <div className="deeds">
        <Button onPress={() => void navigate('/gardens')}>All gardens</Button>
      </div>
    </Message>
  );
}

function Looked({ parcel }: { readonly parcel: Garden }): ReactNode {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const openId = useApp((s) => s.open?.id);
  const kept = useKept();
  const [refused, refuse] = useState<readonly { field: string; message: string }[]>([]);
  const [cover] = parcel.covers;
  const built = cover && evaluate(parcel, cover);
  if (!cover || !built?.ok) return <Broken faults={built && !built.ok ? built.faults : []} />;
  const o = built.value;
  const alone = async (): Promise<void> => {
    const id = newId();
    await dispatch(addGarden(id, { ...parcel, name: cover.name }));
    void navigate(wayTo(id, 'bench', cover.id), { replace: true });
  };
  const into = async (id: string): Promise<void> => {
    if (id !== openId) {
      const came = await dispatch(openStored(id));
      if (came.kind !== 'open')
        return refuse([{ field: 'garden', message: 'That garden cannot be opened now; look at it first.' }]);
    }
    const put = dispatch(run((g) => putParcelIn(g, parcel, newId)));
    if (!put.ok) return refuse(put.faults);
    void navigate(wayTo(id, 'bench', put.value.coverId), { replace: true });
  };
  return (
    <>
      <PlaceHead title={cover.name} subtitle="a cover in a link" />
      <Page>
        <Drawing outline={o} />
        <div>
          <h2>
            {familyOf(cover.family).name} on {o.site.bed.name}
            {parcel.site.place && `, ${parcel.site.place}`}
          </h2>
          <Facts>
            {stripFigures(o, quickShop(o), parcel.units).map((f) => (
              <div key={f.id}>
                <dt>{f.name}</dt>
                <dd className="measure">{f.text}</dd>
              </div>
            ))}
          </Facts>
          <section className="where" aria-label="Where it goes">
            <h2>Where should it go?</h2>
            <Button $strong onPress={() => void alone()}>
              Into a garden of its own
            </Button>
            {kept?.gardens.map((row) => (
              <Button key={row.id} onPress={() => void into(row.id)}>
                Into {row.name}, on its own bed there
              </Button>
            ))}
            {refused.length > 0 && (
              <div role="alert">
                <p>It was not put there, and nothing has changed:</p>
                <FaultList faults={refused} />
              </div>
            )}
          </section>
        </div>
      </Page>
    </>
  );
}

function Drawing({ outline: o }: { readonly outline: Parameters<typeof useView>[0] }): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const of = useView(o, 'end');
  return (
    <div className="drawing" ref={ref}>
      {size && <ViewDrawing outline={o} view="end" of={of} layout={fitView(of, size)} />}
    </div>
  );
}
