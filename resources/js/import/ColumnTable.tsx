import styled from 'styled-components';
import { SelectField } from '../parts/fields';
import { Sheet } from '../parts/Sheet';
import type { ChoiceProps, ColumnProps } from '../types/generated/props';

const Columns = styled.ul`
    list-style: none;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
    gap: 12px 22px;
    padding: 4px 0 6px;
    small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
        white-space: nowrap;
        overflow: hidden;
        text-overflow: ellipsis;
        margin-top: 3px;
    }
`;

/** Each column of the table with the field it is taken for. */
export function ColumnTable({
    columns,
    fields,
    onMatch,
}: {
    columns: readonly ColumnProps[];
    fields: readonly ChoiceProps[];
    onMatch: (column: number, field: string) => void;
}) {
    const left = columns.filter((column) => column.field === '').length;
    return (
        <Sheet title="Columns" caption="what each column is" aside={left === 0 ? 'all matched' : `${left} left out`}>
            <Columns>
                {columns.map((column, i) => (
                    <li key={i}>
                        <SelectField
                            name={`map-${i}`}
                            label={column.heading}
                            value={column.field}
                            none="left out"
                            choices={fields}
                            onChange={(field) => {
                                onMatch(i, field);
                            }}
                        />
                        <small>{column.sample === '' ? 'empty at first' : column.sample}</small>
                    </li>
                ))}
            </Columns>
        </Sheet>
    );
}
