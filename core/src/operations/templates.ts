/** Most of a run that a template shows at once, all stretches together, mm. */
export const TEMPLATE_MOST_MM = 10_000;

/** The part of a run that a template shows, mm from its start; without either, what is opened. */
export interface TemplateAsked {
  readonly fromMm?: number | undefined;
  readonly toMm?: number | undefined;
}
