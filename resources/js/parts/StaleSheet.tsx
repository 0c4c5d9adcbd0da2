import { Button } from './Button';
import { Ruled, Sheet } from './Sheet';

/** A form by its fields. */
export type Form = Record<string, string | readonly string[]>;

const word = (value: string | readonly string[] | undefined) => {
    const text = value === undefined ? '' : [value].flat().join(', ');
    return text === '' ? 'nothing' : text;
};

const differ = (one: Form, other: Form, field: string) => word(one[field]) !== word(other[field]);

/** What was typed here, with what only the other changed taken over. */
export function both<T extends Form>(base: T, theirs: T, mine: T): T {
    const taken = Object.keys(theirs).filter((field) => !differ(base, mine, field));
    return { ...mine, ...Object.fromEntries(taken.map((field) => [field, theirs[field]])) };
}

/** Somebody else saved while this form was filled in: what they changed, what was typed, and how to keep both. */
export function StaleSheet({
    title,
    says,
    labels,
    base,
    theirs,
    mine,
    onBoth,
    onTheirs,
}: {
    title: string;
    says: string;
    labels: ReadonlyMap<string, string>;
    base: Form;
    theirs: Form;
    mine: Form;
    onBoth: () => void;
    onTheirs: () => void;
}) {
    const changed = [...labels.keys()].filter((field) => differ(base, theirs, field) || differ(base, mine, field));
    return (
        <Sheet title={title} caption="nothing of yours was saved yet">
            <p role="alert">{says}</p>
            {changed.length === 0 ? null : (
                <Ruled aria-label="What was changed by whom">
                    <thead>
                        <tr>
                            <th>Field</th>
                            <th>When this page was loaded</th>
                            <th>Saved now</th>
                            <th>Typed here</th>
                        </tr>
                    </thead>
                    <tbody>
                        {changed.map((field) => (
                            <tr key={field}>
                                <td>{labels.get(field)}</td>
                                <td>{word(base[field])}</td>
                                <td>{differ(base, theirs, field) ? word(theirs[field]) : 'as before'}</td>
                                <td>{differ(base, mine, field) ? word(mine[field]) : 'as before'}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
            <p style={{ display: 'flex', gap: 12, flexWrap: 'wrap', padding: '8px 0 2px' }}>
                <Button onPress={onBoth} detail="where both changed a field, yours">
                    Keep both
                </Button>
                <Button quiet onPress={onTheirs} detail="what was typed here is dropped">
                    Use the saved version
                </Button>
            </p>
        </Sheet>
    );
}
