import type { Form } from './document.ts';

export const emptyForm = (): Form => ({ kind: 'form', pieces: [] });
