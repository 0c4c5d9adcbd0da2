import type { IntakeProps } from '../types/generated/props';

/** The label form as it is typed. */
export type Values = Record<keyof IntakeProps, string | string[]>;

/** What a text control of the form needs to know of its field. */
export type Text = (field: keyof IntakeProps) => {
    name: string;
    value: string;
    error: string | undefined;
    hint: string | undefined;
    onChange: (value: string) => void;
};
