import { useState, type ReactNode } from 'react';
import { Undo2 } from 'lucide-react';
import { CANNOT_TELL, type Answered, type Narrowed } from '@mendum/core/recognise';
import { Button } from '../ui/button.tsx';
import { Picture } from './Pictures.tsx';
import { TILE } from './look.ts';

interface KeyQuestionsProps<T extends string> {
  readonly ask: (answered: Answered) => Narrowed<T>;
  /** The drawing of an answer, by `question.answer`. */
  readonly pictures: Readonly<Record<string, ReactNode>>;
  /** What is said of one of the things, with the drawing that it is known by. */
  readonly said: (one: T) => { readonly words: string; readonly about?: string; readonly picture: string };
  readonly take: string;
  readonly onPick: (one: T) => void;
}

/** A key that is walked by tapping drawings, one question at a time; the last answer can be taken back. */
export function KeyQuestions<T extends string>({ ask, pictures, said, take, onPick }: KeyQuestionsProps<T>) {
  const [answers, setAnswers] = useState<readonly (readonly [string, string])[]>([]);
  const { left, next } = ask(Object.fromEntries(answers));
  const answer = (id: string): void => {
    if (next) setAnswers([...answers, [next.id, id]]);
  };
  return (
    <div className="grid gap-4">
      {next ? (
        <section aria-live="polite" className="grid gap-3">
          <div>
            <h3 className="text-xl font-semibold">{next.words}</h3>
            <p className="text-soft">
              {next.hint ? `${next.hint} ` : ''}
              {left.length} may be it.
            </p>
          </div>
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
            {next.answers.map(({ id, words }) => (
              <button key={id} type="button" className={TILE} onClick={() => answer(id)}>
                <Picture>{pictures[`${next.id}.${id}`]}</Picture>
                {words}
              </button>
            ))}
          </div>
          <Button className="justify-self-start" onClick={() => answer(CANNOT_TELL)}>
            Cannot tell
          </Button>
        </section>
      ) : (
        <section aria-live="polite" className="grid gap-3">
          <h3 className="text-xl font-semibold">
            {left.length === 1 ? 'It is this one' : `It is one of ${left.length}; nothing more can be told by looking`}
          </h3>
          {left.map((one) => {
            const { words, about, picture } = said(one);
            return (
              <div
                key={one}
                className="grid items-center gap-3 border-t border-rule pt-3 sm:grid-cols-[11rem_minmax(0,1fr)_auto]"
              >
                <Picture>{pictures[picture]}</Picture>
                <div>
                  <p className="text-lg font-semibold">{words}</p>
                  {about === undefined ? null : <p className="text-soft">{about}</p>}
                </div>
                <Button look={left.length === 1 ? 'copper' : 'plain'} onClick={() => onPick(one)}>
                  {take}
                </Button>
              </div>
            );
          })}
        </section>
      )}
      {answers.length > 0 ? (
        <Button look="quiet" className="justify-self-start" onClick={() => setAnswers(answers.slice(0, -1))}>
          <Undo2 aria-hidden className="size-5" /> Take the last answer back
        </Button>
      ) : null}
    </div>
  );
}
