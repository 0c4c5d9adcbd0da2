import type { KitFieldProps, KitFormProps } from '../types/generated/props';

/** A form of gear as it is typed: each field holds one text, or several where several can be ticked. */
export type Fields = Record<string, string[]>;

export interface Part {
    /** Its number in the books; 0 for a new one. */
    id: number;
    /** Tells rows apart while they are typed. */
    row: number;
    fields: Fields;
}

export function start(fields: readonly KitFieldProps[]): Fields {
    return Object.fromEntries(fields.map((field) => [field.name, field.values]));
}

export function startParts(form: KitFormProps): Part[] {
    return (form.parts?.rows ?? []).map((row, i) => ({ id: row.id, row: i, fields: start(row.fields) }));
}

/** As the server takes it: a text for each field, a list only where several can be ticked. */
export function sent(shape: readonly KitFieldProps[], fields: Fields): Record<string, string | string[]> {
    return Object.fromEntries(
        shape.map((field) => {
            const value = fields[field.name] ?? [];
            return [field.name, field.control === 'several' ? value : (value[0] ?? '')];
        }),
    );
}
