import { useState, type ReactNode } from 'react';
import { Tabs as Radix } from 'radix-ui';

/** One of several lists that share a place. */
export interface Tab {
  readonly name: string;
  readonly title: ReactNode;
  readonly content: ReactNode;
}

interface TabsProps {
  readonly label: string;
  readonly tabs: readonly Tab[];
  /** Which one is shown, where the page keeps that itself. */
  readonly shown?: string | undefined;
  readonly onShow?: (name: string) => void;
}

/** Lists of which one is shown at a time; arrow keys go from one to the next. */
export function Tabs({ label, tabs, shown: asked, onShow }: TabsProps) {
  const [own, setOwn] = useState<string>();
  const chosen = onShow ? asked : own;
  const setChosen = onShow ?? setOwn;
  const shown = tabs.find(({ name }) => name === chosen) ?? tabs[0];
  return (
    <Radix.Root value={shown?.name ?? ''} onValueChange={setChosen}>
      <Radix.List aria-label={label} className="no-print mb-4 flex gap-2 border-b border-rule max-sm:overflow-x-auto">
        {tabs.map(({ name, title }) => (
          <Radix.Trigger
            key={name}
            value={name}
            className={
              'min-h-11 shrink-0 border-b-4 border-transparent px-3 text-lg ' +
              'data-[state=active]:border-copper data-[state=active]:font-semibold'
            }
          >
            {title}
          </Radix.Trigger>
        ))}
      </Radix.List>
      {tabs.map(({ name, content }) => (
        <Radix.Content key={name} value={name}>
          {content}
        </Radix.Content>
      ))}
    </Radix.Root>
  );
}
