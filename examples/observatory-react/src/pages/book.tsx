import { useRef, useState, type ReactNode, type SubmitEvent } from 'react';
import { useMayLeave } from 'fair-trail/react';

const empty = { day: '', people: '', wishes: '' };

/** Asks before a half-filled form is left. */
export function BookPage(): ReactNode {
  const [wanted, setWanted] = useState(empty);
  const [sent, setSent] = useState(false);
  const { dialog, ask, answer } = useQuestion();
  const isWritten = !sent && Object.values(wanted).some(Boolean);
  useMayLeave(isWritten ? ask : null);

  const send = (event: SubmitEvent) => {
    event.preventDefault();
    setSent(true);
  };
  const field = (name: keyof typeof empty) => ({
    name,
    value: wanted[name],
    onChange: ({ target }: { target: { value: string } }) => setWanted({ ...wanted, [name]: target.value }),
  });

  if (sent) {
    return (
      <>
        <h1>Book a visit</h1>
        <p className="lead" role="status">
          Thank you. The warden on duty will ring you back before the evening tide.
        </p>
      </>
    );
  }
  return (
    <>
      <h1>Book a visit</h1>
      <p className="lead">So that we know how many are on the island when the causeway floods.</p>
      <form className="booking" onSubmit={send}>
        <label>
          Day
          <input type="date" required {...field('day')} />
        </label>
        <label>
          People
          <input inputMode="numeric" required {...field('people')} />
        </label>
        <label>
          Anything else
          <textarea rows={4} {...field('wishes')} />
        </label>
        <button type="submit" data-ft-button="primary">
          Send
        </button>
      </form>
      <dialog ref={dialog} className="question" aria-labelledby="leave-question" onCancel={() => answer(false)}>
        <p id="leave-question">Leave without sending? What you have written will be lost.</p>
        <button type="button" data-ft-button="primary" onClick={() => answer(false)}>
          Stay
        </button>
        <button type="button" data-ft-button="plain" onClick={() => answer(true)}>
          Leave
        </button>
      </dialog>
    </>
  );
}

/** A question in a dialog, and its answer. */
function useQuestion() {
  const dialog = useRef<HTMLDialogElement>(null);
  const settle = useRef<(yes: boolean) => void>(() => undefined);
  const ask = () => {
    dialog.current?.showModal();
    return new Promise<boolean>((resolve) => (settle.current = resolve));
  };
  const answer = (yes: boolean) => {
    dialog.current?.close();
    settle.current(yes);
  };
  return { dialog, ask, answer };
}
