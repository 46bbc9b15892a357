import { lazy, Suspense, type ComponentType } from 'react';
import type * as Fields from './fields.tsx';
import type { FieldsOfRepair } from './fields.tsx';

/** Fields bring the schemas along, so they come when there is something to change; nobody waits for them. */
function later(name: keyof typeof Fields): ComponentType<FieldsOfRepair> {
  const Loaded = lazy(async () => ({ default: (await import('./fields.tsx'))[name] }));
  return function Later(props) {
    return (
      <Suspense fallback={<div className="min-h-11" />}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}

export const Later = {
  StrandFields: later('StrandFields'),
  SlackField: later('SlackField'),
  PlaceFields: later('PlaceFields'),
  AssumedFields: later('AssumedFields'),
};
