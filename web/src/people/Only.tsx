import type { ReactNode } from 'react';
import type { OperationName } from '@mendum/core/operations';
import { useMay } from '../app/session.ts';

/** What leads to an operation, for those who may do it. */
export const Only = ({ may, children }: { readonly may: OperationName; readonly children: ReactNode }) =>
  useMay(may) ? children : null;
