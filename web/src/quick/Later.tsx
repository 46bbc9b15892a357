import { lazy, Suspense, type ComponentType } from 'react';
import type * as Fields from './fields.tsx';

/** Fields bring the schemas along, so they come when there is something to change; nobody waits for them. */
function later<P extends object>(pick: (fields: typeof Fields) => ComponentType<P>): ComponentType<P> {
  const Loaded = lazy(async () => ({ default: pick(await import('./fields.tsx')) as ComponentType<object> }));
  return function Later(props) {
    return (
      <Suspense fallback={<div className="min-h-11" />}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}

export const Later = {
  StrandFields: later((fields) => fields.StrandFields),
  SlackField: later((fields) => fields.SlackField),
  PlaceFields: later((fields) => fields.PlaceFields),
  AssumedFields: later((fields) => fields.AssumedFields),
  ConnectorFields: later((fields) => fields.ConnectorFields),
};
