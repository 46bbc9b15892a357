import { useEffect, useState } from 'react';
import { Button } from '../../ui/button.tsx';

/** Counts down where waiting matters; it says so in words when it is over. */
export function Timer({ seconds }: { readonly seconds: number }) {
  const [endsAt, setEndsAt] = useState<number>();
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (endsAt === undefined) return undefined;
    const beat = setInterval(() => {
      const now = Math.max(0, Math.ceil((endsAt - Date.now()) / 1000));
      setLeft(now);
      if (now === 0) clearInterval(beat);
    }, 200);
    return () => clearInterval(beat);
  }, [endsAt]);
  const running = endsAt !== undefined && left > 0;
  return (
    <div className="mt-5" role="timer">
      {left === 0 ? (
        <p className="text-2xl font-semibold text-pass">✓ {seconds} s done</p>
      ) : running ? (
        <p className="text-3xl font-semibold">
          <span className="figure">{left}</span> s, keep it still
        </p>
      ) : null}
      <Button
        onClick={() => {
          setLeft(seconds);
          setEndsAt(Date.now() + seconds * 1000);
        }}
      >
        {endsAt === undefined ? `Wait ${seconds} s` : 'Start again'}
      </Button>
    </div>
  );
}
