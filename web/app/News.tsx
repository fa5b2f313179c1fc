import { type ReactNode, useEffect } from 'react';
import {
  Button as AriaButton,
  Text,
  UNSTABLE_Toast as Toast,
  UNSTABLE_ToastContent as ToastContent,
  UNSTABLE_ToastQueue as ToastQueue,
  UNSTABLE_ToastRegion as ToastRegion,
} from 'react-aria-components';
import styled from 'styled-components';
import { plainButton } from '../parts/controls';
import { useApp, useAppDispatch } from './hooks';
import { noticeShown } from './state';
import { overPage } from '../parts/look';

const SHOWN_MS = 8000;

const queue = new ToastQueue<string>({ maxVisibleToasts: 3 });

const Region = styled(ToastRegion<string>)`
  position: fixed;
  z-index: 60;
  right: 1rem;
  bottom: 8rem;
  display: grid;
  gap: 0.5rem;
  max-width: min(26rem, calc(100vw - 2rem));
  outline: none;
  .react-aria-Toast {
    display: flex;
    gap: 0.8rem;
    align-items: center;
    padding: 0.7rem 0.9rem;
    ${overPage}
    outline: none;
  }
  .react-aria-Toast[data-focus-visible] {
    outline: 3px solid var(--chalk);
  }
`;

const Close = styled(AriaButton)`
  ${plainButton}
`;

/** What the gardener is told by the way: each for a while, a few at a time, with the keyboard reached by F6. */
export function News(): ReactNode {
  const notice = useApp((s) => s.notice);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (notice === null) return;
    queue.add(notice, { timeout: SHOWN_MS });
    dispatch(noticeShown(null));
  }, [notice, dispatch]);
  return (
    <Region queue={queue} aria-label="News">
      {({ toast }) => (
        <Toast toast={toast}>
          <ToastContent>
            <Text slot="title">{toast.content}</Text>
          </ToastContent>
          <Close slot="close">OK</Close>
        </Toast>
      )}
    </Region>
  );
}
