import styled from 'styled-components';
import { Options, Ticks } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import { Sheet } from '../parts/Sheet';
import type { ChoiceProps, ChoicesProps, LineProps } from '../types/generated/props';
import { Fields } from './Fields';
import type { Text } from './values';

const NotUnderstood = styled.p`
    grid-column: 1 / -1;
    font-size: 12.5px;
    color: var(--pencil);
    margin-top: -8px;
    mark {
        background: transparent;
        color: var(--rust);
        font-weight: 650;
        border-bottom: 1px dashed var(--rust);
        margin-right: 8px;
    }
`;

function on(choices: readonly ChoiceProps[], form: string): ChoiceProps[] {
    return choices.filter((choice) => choice.forms.includes(form));
}

/** What is printed on the card, field by field, and the line they can be read from. */
export function LabelSheet({
    text,
    line,
    onLine,
    reading,
    choices,
    shape,
    marks,
    onMarks,
    marksError,
    isNew,
}: {
    text: Text;
    line: string;
    onLine: (line: string) => void;
    reading: LineProps | null;
    choices: ChoicesProps;
    shape: string;
    marks: string[];
    onMarks: (marks: string[]) => void;
    marksError: string | undefined;
    isNew: boolean;
}) {
    return (
        <Sheet title="Label" caption="sizes such as 128 GB, speeds such as 95 MB/s or 760 Mb/s">
            <Fields>
                <div className="whole">
                    <TextField
                        name="line"
                        label="Paste or type the whole label line: it fills the fields"
                        value={line}
                        onChange={onLine}
                        placeholder="128GB SDXC II U3 V60 250MB/s"
                        figures
                        autoFocus={isNew}
                    />
                </div>
                {reading === null ? null : <Left reading={reading} />}
                <TextField {...text('tag')} label="Tag" figures />
                <div className="half">
                    <TextField {...text('name')} label="Maker and series" placeholder="as printed" />
                </div>
                <TextField {...text('capacity')} label="Capacity" figures placeholder="128 GB" />
                <SelectField {...text('form')} label="Form" choices={choices.forms} />
                <SelectField
                    {...text('family')}
                    label="Family"
                    none="not printed"
                    choices={on(choices.families, shape)}
                />
                <SelectField {...text('bus')} label="Bus" none="not printed" choices={on(choices.buses, shape)} />
                {isNew ? <TextField {...text('footage')} label="Footage on it" figures placeholder="none" /> : null}
                <div className="whole">
                    <Ticks
                        label={reading?.marksFrom == null ? 'Speed marks' : `Speed marks, from “${reading.marksFrom}”`}
                        choices={on(choices.marks, shape)}
                        value={marks}
                        onChange={onMarks}
                        error={marksError}
                    />
                </div>
                <TextField {...text('read')} label="Claims to read" figures placeholder="not printed" />
                <TextField {...text('write')} label="Claims to write" figures placeholder="not printed" />
                <TextField {...text('sustained')} label="Sustained write" figures placeholder="not printed" />
                <TextField {...text('times')} label="×-rating" figures placeholder="not printed" />
                {choices.twoRowForms.includes(shape) ? (
                    <div className="whole">
                        <Options
                            {...text('contact_rows')}
                            label="Contact rows (turn it over)"
                            options={[
                                { key: '', label: 'not checked yet' },
                                { key: '1', label: 'one row' },
                                { key: '2', label: 'two rows' },
                            ]}
                        />
                    </div>
                ) : null}
            </Fields>
        </Sheet>
    );
}

function Left({ reading }: { reading: LineProps }) {
    if (reading.unknown.length === 0 && reading.notes.length === 0) {
        return null;
    }
    return (
        <NotUnderstood role="status">
            {reading.unknown.length === 0 ? null : 'Not understood: '}
            {reading.unknown.map((part) => (
                <mark key={part}>{part}</mark>
            ))}
            {reading.notes.join(' ')}
        </NotUnderstood>
    );
}
