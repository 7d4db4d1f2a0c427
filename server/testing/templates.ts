/** Databases that tests copy: brought up, and brought up with the demo shop in it (its trials are seeded by the one test that needs them). */
export const templates = ['template_bare', 'template_demo'] as const;

export type Template = (typeof templates)[number];
