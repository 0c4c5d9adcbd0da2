import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { megabytes, percent, reached } from '../format';
import { Button } from '../parts/Button';
import { Ruled } from '../parts/Sheet';
import type { RunProps } from '../types/generated/props';

/** More than this is folded away: hundreds of runs are a picture, not a list. */
const SHOWN = 12;

export function RunTable({ runs }: { runs: RunProps[] }) {
    const [all, setAll] = useState(false);
    const hidden = all ? 0 : Math.max(0, runs.length - SHOWN);
    return (
        <>
            <Ruled aria-label="Runs">
                <thead>
                    <tr>
                        <th>Run</th>
                        <th>Chain</th>
                        <th>Region</th>
                        <th className="n">Write MB/s</th>
                        <th className="n">Read MB/s</th>
                        <th className="n">CV</th>
                        <th>Note</th>
                    </tr>
                </thead>
                <tbody>
                    {(hidden === 0 ? runs : runs.slice(0, SHOWN)).map((run) => (
                        <Row key={run.id} run={run} />
                    ))}
                </tbody>
            </Ruled>
            {hidden === 0 ? null : (
                <p style={{ marginTop: 8 }}>
                    <Button
                        quiet
                        onPress={() => {
                            setAll(true);
                        }}
                    >
                        {`Show ${hidden} earlier ${hidden === 1 ? 'run' : 'runs'}`}
                    </Button>
                </p>
            )}
        </>
    );
}

function Row({ run }: { run: RunProps }) {
    const struck = run.struck ? ' struck' : '';
    const what = [run.kind === 'speed' ? '' : run.name, run.state === 'done' ? '' : run.state]
        .filter((part) => part !== '')
        .join(' ');
    // A timed copy is held against no promise.
    const figure = run.kind === 'copy' ? megabytes : reached;
    return (
        <tr>
            <td className="figure">
                <Link href={`/runs/${run.id}`} aria-label={`Run ${run.id}, whole`}>
                    {run.id}
                </Link>
            </td>
            <td className={struck}>{run.chain}</td>
            <td className={struck}>{run.region}</td>
            <td className={`n${struck}`}>{run.write === null ? '–' : reached(run.write)}</td>
            <td className={`n${struck}`}>{run.read === null ? '–' : figure(run.read)}</td>
            <td className={`n${struck}`}>{run.variation === null ? '–' : percent(run.variation, 1)}</td>
            <td>
                {what}
                {run.note === '' ? '' : `${what === '' ? '' : ': '}${run.note}`}
            </td>
        </tr>
    );
}
