import type { ReactNode } from 'react';
import {
    Button,
    FieldError,
    Input,
    Label,
    ListBox,
    ListBoxItem,
    Popover,
    Select,
    SelectValue,
    Text,
    TextArea as AriaTextArea,
    TextField as AriaTextField,
    type Key,
} from 'react-aria-components';
import styled, { css } from 'styled-components';

/** Controls of React Aria in the house's look. An error is the server's own sentence. */

export const field = css`
    display: flex;
    flex-direction: column;
    min-width: 0;
    .react-aria-Label,
    .label {
        font-size: 12.5px;
        font-weight: 560;
        font-stretch: 84%;
        color: var(--pencil);
    }
    [slot='errorMessage'] {
        color: var(--rust);
        font-size: 12.5px;
        margin-top: 3px;
    }
    [slot='description'] {
        color: var(--pencil);
        font-size: 12px;
        margin-top: 2px;
    }
`;

export const box = css`
    width: 100%;
    margin-top: 2px;
    padding: 6px 2px 5px;
    border: 0;
    border-bottom: 1.5px solid var(--ink);
    border-radius: 0;
    background: transparent;
    font-size: 14.5px;
    text-align: left;
    &[data-invalid] {
        border-bottom-color: var(--rust);
        box-shadow: 0 1px 0 var(--rust);
    }
`;

export const figures = css`
    font-family: var(--figures);
    font-stretch: 75%;
    font-size: 13px;
`;

const TextLook = styled(AriaTextField)`
    ${field}
    input,
    textarea {
        ${box}
    }
    textarea {
        min-height: 74px;
        resize: vertical;
    }
    &[data-figures] input,
    &[data-figures] textarea {
        ${figures}
    }
`;

export interface FieldProps {
    label: string;
    error?: string | undefined;
    hint?: string | undefined;
}

/** Under a field: what it is for, or what is wrong with it. */
export function Under({ error, hint }: Pick<FieldProps, 'error' | 'hint'>) {
    return (
        <>
            {hint === undefined || error !== undefined ? null : <Text slot="description">{hint}</Text>}
            <FieldError>{error}</FieldError>
        </>
    );
}

interface TextProps extends FieldProps {
    value: string;
    onChange: (value: string) => void;
    name: string;
    figures?: boolean;
    autoFocus?: boolean;
    readOnly?: boolean;
}

/** A label, what is typed into, and under it what it is for, or what is wrong. */
function Typed({
    label,
    error,
    hint,
    value,
    onChange,
    name,
    figures = false,
    autoFocus = false,
    readOnly = false,
    type = 'text',
    children,
}: TextProps & { type?: 'text' | 'password'; children: ReactNode }) {
    return (
        <TextLook
            value={value}
            onChange={onChange}
            isInvalid={error !== undefined}
            name={name}
            autoFocus={autoFocus}
            isReadOnly={readOnly}
            type={type}
            {...(figures ? { 'data-figures': '' } : {})}
        >
            <Label>{label}</Label>
            {children}
            <Under error={error} hint={hint} />
        </TextLook>
    );
}

export function TextField({
    placeholder = '',
    autoComplete = 'off',
    ...props
}: TextProps & { placeholder?: string; autoComplete?: string; type?: 'text' | 'password' }) {
    return (
        <Typed {...props}>
            <Input placeholder={placeholder} autoComplete={autoComplete} spellCheck={false} />
        </Typed>
    );
}

/** What nobody should read over a shoulder. */
export function PasswordField(props: Omit<Parameters<typeof TextField>[0], 'type'>) {
    return <TextField {...props} type="password" />;
}

/** Several lines. */
export function TextArea(props: TextProps) {
    return (
        <Typed {...props}>
            <AriaTextArea spellCheck={false} />
        </Typed>
    );
}

const SelectLook = styled(Select)`
    ${field}
    > button {
        ${box}
        display: flex;
        justify-content: space-between;
        cursor: pointer;
    }
    > button [slot='description'] {
        display: none;
    }
    > button .react-aria-SelectValue[data-placeholder] {
        color: var(--pencil);
    }
`;

export const PopoverLook = styled(Popover)`
    min-width: var(--trigger-width);
    max-height: 320px;
    overflow: auto;
    background: var(--sheet);
    border: 1.3px solid var(--ink);
    padding: 4px 0;
    [role='option'],
    [role='menuitem'] {
        padding: 6px 12px;
        cursor: pointer;
        outline: none;
    }
    [data-focused] {
        background: var(--faint);
    }
    [data-selected] [slot='label'] {
        font-weight: 650;
    }
    [slot='description'] {
        display: block;
        color: var(--pencil);
        font-size: 12px;
    }
    [data-disabled] {
        color: var(--pencil);
        cursor: default;
    }
`;

export interface Choice {
    key: string;
    label: string;
    /** A second line in the list, such as why it cannot be chosen. */
    detail?: string;
    disabled?: boolean;
}

export function SelectField({
    label,
    error,
    hint,
    value,
    onChange,
    choices,
    none,
    name,
}: FieldProps & {
    value: string;
    onChange: (value: string) => void;
    choices: readonly Choice[];
    none?: string;
    name: string;
}) {
    const items = none === undefined ? choices : [{ key: 'none', label: none }, ...choices];
    return (
        <SelectLook
            value={value === '' ? (none === undefined ? null : 'none') : value}
            onChange={(key: Key | Key[] | null) => {
                const one = Array.isArray(key) ? key[0] : key;
                onChange(one === undefined || one === null || one === 'none' ? '' : String(one));
            }}
            isInvalid={error !== undefined}
            name={name}
            placeholder="choose one"
        >
            <Label>{label}</Label>
            <Button>
                <SelectValue />
                <span aria-hidden="true">▾</span>
            </Button>
            <Under error={error} hint={hint} />
            <PopoverLook>
                <ListBox items={items}>
                    {(item) => (
                        <ListBoxItem id={item.key} textValue={item.label} isDisabled={item.disabled ?? false}>
                            <Text slot="label">{item.label}</Text>
                            {item.detail === undefined ? null : <Text slot="description">{item.detail}</Text>}
                        </ListBoxItem>
                    )}
                </ListBox>
            </PopoverLook>
        </SelectLook>
    );
}
