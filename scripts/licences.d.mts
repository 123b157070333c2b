export function fits(expression: string): boolean;
export function licenceOf(pkg: { license?: unknown; licenses?: unknown }): string;
export function misfits(root?: string): string[];
