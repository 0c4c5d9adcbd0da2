import styled from 'styled-components';
import { grouped, size } from '../format';
import { Ruled } from '../parts/Sheet';
import type { CoreProps } from '../types/generated/props';

const Look = styled.div`
    font-size: 13px;
    margin-top: 10px;
    p {
        margin: 3px 0;
    }
    h2 {
        font-size: 13px;
        font-stretch: 84%;
        margin: 8px 0 2px;
    }
    ul {
        margin: 0;
        padding-left: 18px;
    }
`;

/** What the core sample means: fake or faulty and why, what was proven, what is left open. */
export function Meaning({ core }: { core: CoreProps }) {
    return (
        <Look>
            <p>{core.summary}</p>
            {core.means.map((sentence) => (
                <p key={sentence}>{sentence}</p>
            ))}
            {core.alarmAt === null ? null : (
                <p>
                    Ended early: after {size(core.alarmAt)} some of what had been written before had changed. The rest
                    was not written, because nothing more was to be learnt.
                </p>
            )}
            <h2>What it proves</h2>
            <p>{core.proves}</p>
            <h2>What it does not prove</h2>
            <ul>
                {core.leaves.map((sentence) => (
                    <li key={sentence}>{sentence}</li>
                ))}
            </ul>
        </Look>
    );
}

const Fold = styled.details`
    font-size: 12.5px;
    margin-top: 8px;
    summary {
        cursor: pointer;
        color: var(--pencil);
    }
`;

/** More rows than this are in the result file. */
const MOST = 40;

/** The bad places one by one, for who cannot see the picture or wants the figures. */
export function BadPlaces({ core }: { core: CoreProps }) {
    const bad = core.patches.filter((patch) => patch.class !== 'holds');
    if (bad.length === 0) {
        return null;
    }
    return (
        <Fold>
            <summary>
                {bad.length === 1 ? 'The bad place' : `The ${grouped(bad.length)} bad places`}, by address
            </summary>
            <Ruled aria-label="Bad places">
                <thead>
                    <tr>
                        <th>What came back</th>
                        <th className="n">From byte</th>
                        <th className="n">Bytes</th>
                        <th className="n">Holds the data of</th>
                    </tr>
                </thead>
                <tbody>
                    {bad.slice(0, MOST).map((patch) => (
                        <tr key={patch.offset}>
                            <td>{patch.class}</td>
                            <td className="n">{grouped(patch.offset)}</td>
                            <td className="n">{grouped(patch.length)}</td>
                            <td className="n">{patch.source === null ? '' : grouped(patch.source)}</td>
                        </tr>
                    ))}
                    {bad.length > MOST ? (
                        <tr>
                            <td colSpan={4}>The others are in the result file.</td>
                        </tr>
                    ) : null}
                </tbody>
            </Ruled>
        </Fold>
    );
}
