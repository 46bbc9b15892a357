import { useId, useState } from 'react';
import type { PinoutLine, PinoutQuestion } from '@mendum/core/pinout';
import { Button } from '../../../ui/button.tsx';
import { Select, TextField } from '../../../ui/field.tsx';
import { linesInWords, type LineName } from './lineWords.ts';

interface QuestionsProps {
  readonly questions: readonly PinoutQuestion[];
  readonly called: LineName;
  /** The lines, to show what a question is about. */
  readonly lines: readonly PinoutLine[];
  /** Names that are known, for answers that are connectors. */
  readonly connectors: readonly string[];
  readonly onAnswer: (key: string, value: string | undefined) => void;
}

const TYPED = { connector: 'Connector', colour: 'Colour, such as red/black', size: 'Size, such as 0.75 mm²' } as const;

/** So many of its lines are shown with a question. */
const SHOWN = 2;

/** What the sheet leaves open: each question with its lines, an option a tap, or an answer that is written. */
export function SheetQuestions({ questions, lines, called, connectors, onAnswer }: QuestionsProps) {
  const textOf = (line: number): string => lines.find((one) => one.line === line)?.text ?? '';
  if (questions.length === 0) return null;
  return (
    <section aria-label="What is asked" className="grid gap-3">
      <h3 className="text-lg font-semibold text-copper">
        {questions.length === 1 ? 'One question' : `${questions.length} questions`} before anything is imported
      </h3>
      {questions.map((question) => (
        <div key={question.key} role="group" aria-label={question.asks} className="border-l-4 border-copper pl-3">
          <p className="text-lg font-semibold">{question.asks}</p>
          {question.lines.length > 0 ? <p className="text-soft">{linesInWords(question.lines, called)}</p> : null}
          {question.lines.slice(0, SHOWN).map((line) => (
            <p key={line} className="truncate">
              <span className="figure text-soft">{line}</span> {textOf(line)}
            </p>
          ))}
          <div className="mt-2 flex flex-wrap items-end gap-3">
            {question.options.map(({ value, words }) => (
              <Button key={value} onClick={() => onAnswer(question.key, value)}>
                {words}
              </Button>
            ))}
            {question.typed ? (
              <Written
                label={TYPED[question.typed]}
                known={question.typed === 'connector' ? connectors : []}
                onTake={(value) => onAnswer(question.key, value)}
              />
            ) : null}
          </div>
        </div>
      ))}
    </section>
  );
}

/** An answer that is written; it counts once it is taken. */
function Written({
  label,
  known,
  onTake,
}: {
  readonly label: string;
  readonly known: readonly string[];
  readonly onTake: (value: string) => void;
}) {
  const [typed, setTyped] = useState('');
  const list = useId();
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed.trim() !== '') onTake(typed.trim());
      }}
    >
      <TextField
        label={label}
        value={typed}
        list={list}
        maxLength={60}
        onChange={(event) => setTyped(event.target.value)}
      />
      <datalist id={list}>
        {known.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Button type="submit" disabled={typed.trim() === ''}>
        Take it
      </Button>
    </form>
  );
}

/** What was answered, and what the sheet shows by itself: each can be set otherwise. */
export function SheetAnswers({ questions, called, onAnswer }: Omit<QuestionsProps, 'connectors' | 'lines'>) {
  if (questions.length === 0) return null;
  return (
    <section aria-label="How it is read">
      <h3 className="mb-1 text-lg font-semibold">How it is read</h3>
      <div className="grid gap-4 sm:grid-cols-2">
        {questions.map((question) => {
          const { key, asks, because, lines, options, answer = '', guessed } = question;
          const isOption = options.some(({ value }) => value === answer);
          return (
            <Select
              key={key}
              label={asks}
              hint={`${guessed ? (because ?? 'Concluded from the sheet.') : 'Answered.'}${lines.length > 0 ? ` ${linesInWords(lines, called)}` : ''}`}
              value={answer}
              onChange={(event) => onAnswer(key, event.target.value === '' ? undefined : event.target.value)}
            >
              {isOption ? null : <option value={answer}>{answer}</option>}
              {options.map(({ value, words }) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
              {guessed ? null : <option value="">— ask again —</option>}
            </Select>
          );
        })}
      </div>
    </section>
  );
}
