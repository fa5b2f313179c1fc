/** What is shown where something broke: what it was, that the garden is safe, and the ways on. */
import { Component, type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { messageOf } from '../../core/base/result';
import { Button } from '../parts/controls';
import { Message } from '../parts/layout';
import { saveGarden } from '../parts/saveFile';
import { PartMissing, goAfresh } from './appUpdate';
import { wayTo } from './way';
import { store } from './world';
import { Folded } from '../parts/Folded';

const Page = styled(Message)`
  pre {
    max-height: 14rem;
    overflow: auto;
    padding: 0.6rem;
    background: var(--sheet);
    border: 1px solid var(--hair);
    font-size: 0.8125rem;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
`;

function safety(): string {
  const open = store.getState().open;
  if (!open) return 'Your gardens are untouched.';
  return open.save.kind === 'failed' || open.save.kind === 'gone'
    ? 'Your garden is whole, but not kept in this browser: save it to a file now.'
    : 'Your garden is safe: it is kept as you left it.';
}

function Broken({ error, what }: { readonly error: unknown; readonly what: string }): ReactNode {
  const [away, setAway] = useState(false);
  const open = store.getState().open;
  const missing = error instanceof PartMissing;
  const elsewhere = location.pathname.endsWith('/plot') ? 'shelf' : 'plot';
  const details = [
    `${what}, ${location.pathname}`,
    error instanceof Error ? (error.stack ?? error.message) : messageOf(error),
    navigator.userAgent,
  ].join('\n');
  return (
    <Page role="alert">
      <h1>{missing ? 'A part of Cabanon did not come' : `${what} could not be shown`}</h1>
      <p>
        {missing
          ? 'The server or the network is away, or a newer Cabanon has been put in its place.'
          : 'Something in Cabanon itself broke here: it is not your doing.'}{' '}
        {safety()}
      </p>
      {away && <p>It cannot be reached yet. What is open stays open; try again in a while.</p>}
      <div className="deeds">
        <Button $strong onPress={() => void goAfresh().then((went) => setAway(!went))}>
          {missing ? 'Fetch it again' : 'Load the page afresh'}
        </Button>
        {open && <a href={wayTo(open.id, elsewhere)}>Go on at the {elsewhere}</a>}
        <a href="/gardens">All gardens</a>
        {open && <Button onPress={() => saveGarden(open.doc.name, open.doc)}>Save to a file</Button>}
      </div>
      <Folded title="Details, to copy into a report">
        <pre>{details.slice(0, 4000)}</pre>
        {'clipboard' in navigator && (
          <Button onPress={() => void navigator.clipboard.writeText(details).catch(() => undefined)}>Copy them</Button>
        )}
      </Folded>
    </Page>
  );
}

interface Props {
  /** What it holds, as it would be said: The bench. */
  readonly what: string;
  /** Where it stands; going elsewhere is a new start. */
  readonly at?: string;
  readonly children: ReactNode;
}

/** Holds what breaks within it, so that the rest goes on. */
export class Boundary extends Component<Props, { readonly error: unknown }> {
  override state: { readonly error: unknown } = { error: undefined };

  static getDerivedStateFromError(error: unknown): { readonly error: unknown } {
    return { error: error ?? new Error('nothing was said') };
  }

  override componentDidCatch(error: unknown): void {
    // A newer build stands where this page came from: it is fetched when nothing would be lost by it.
    if (error instanceof PartMissing) void goAfresh('once');
  }

  override componentDidUpdate(before: Props): void {
    if (before.at !== this.props.at && this.state.error !== undefined) this.setState({ error: undefined });
  }

  override render(): ReactNode {
    const { error } = this.state;
    return error === undefined ? this.props.children : <Broken error={error} what={this.props.what} />;
  }
}
