import { grouped } from '../format';
import { Ruled, Sheet } from '../parts/Sheet';
import type { BadCellProps, GoodRowProps } from '../types/generated/props';

/** Rows that cannot be added: which row, which column, and what would do. */
export function BadRows({ bad, rows }: { bad: readonly BadCellProps[]; rows: number }) {
    return (
        <Sheet
            title={`${grouped(rows)} ${rows === 1 ? 'row' : 'rows'} cannot be added`}
            caption={bad.length >= 200 ? 'the first 200 cells' : 'fix them in the table, or leave them out'}
        >
            <Ruled aria-label="Rows that cannot be added">
                <thead>
                    <tr>
                        <th className="n">Row</th>
                        <th>Column</th>
                        <th>Why</th>
                    </tr>
                </thead>
                <tbody>
                    {bad.map((cell, i) => (
                        <tr key={i}>
                            <td className="n">{cell.row}</td>
                            <td>{cell.column}</td>
                            <td>{cell.sentence}</td>
                        </tr>
                    ))}
                </tbody>
            </Ruled>
        </Sheet>
    );
}

/** The first rows as they would stand in the books. */
export function GoodRows({ rows, good }: { rows: readonly GoodRowProps[]; good: number }) {
    return (
        <Sheet
            title="As they would be added"
            caption={good > rows.length ? `the first ${rows.length} of ${grouped(good)}` : ''}
        >
            <Ruled aria-label="Rows as they would be added">
                <thead>
                    <tr>
                        <th className="n">Row</th>
                        <th>Tag</th>
                        <th>Maker and series</th>
                        <th>Label</th>
                        <th>Origin</th>
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.row}>
                            <td className="n">{row.row}</td>
                            <td className="figure">{row.tag}</td>
                            <td>{row.name}</td>
                            <td>{row.line}</td>
                            <td>{row.rest}</td>
                        </tr>
                    ))}
                </tbody>
            </Ruled>
        </Sheet>
    );
}
