import styled from 'styled-components';
import type { PreviewProps } from '../types/generated/props';
import { MarginLook, Reasons } from './Margin';

const Block = styled.section`
    border-top: 1px solid var(--rule);
    padding-top: 9px;
    font-size: 13px;
    h3 {
        font-size: 13px;
        font-weight: 680;
        font-stretch: 84%;
        margin-bottom: 4px;
    }
    ul {
        list-style: none;
    }
    li {
        display: flex;
        justify-content: space-between;
        gap: 10px;
        padding: 1.5px 0;
    }
    li span:last-child {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 12px;
        white-space: nowrap;
    }
    li small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
    }
    .plain li {
        color: var(--pencil);
    }
`;

/** While a label is typed: what it promises, what it keeps to itself, what contradicts itself, and what your readers make of it. */
export function PreviewMargin({ preview }: { preview: PreviewProps }) {
    return (
        <MarginLook>
            <h2>What this label says</h2>
            <Block aria-label="Promises">
                <h3>It promises to write at least</h3>
                {preview.promises.length === 0 ? (
                    'nothing: no speed mark is printed.'
                ) : (
                    <ul>
                        {preview.promises.map((promise) => (
                            <li key={promise.mark}>
                                <span>{promise.mark}</span>
                                <span>
                                    {promise.megabytes} = {promise.megabits}
                                </span>
                            </li>
                        ))}
                    </ul>
                )}
            </Block>
            {preview.findings.length === 0 ? null : <Reasons reasons={preview.findings} />}
            {preview.silent.length === 0 ? null : (
                <Block aria-label="Not said">
                    <h3>It does not say</h3>
                    <ul className="plain">
                        {preview.silent.map((words) => (
                            <li key={words}>{words}</li>
                        ))}
                    </ul>
                </Block>
            )}
            <Block aria-label="What such cards cost">
                <h3>What such cards cost</h3>
                {preview.market}
            </Block>
            <Block aria-label="In your readers">
                <h3>At best in your readers</h3>
                <ul>
                    {preview.reach.map((entry) => (
                        <li key={entry.reader}>
                            <span>
                                {entry.reader}
                                <small>{entry.why}</small>
                            </span>
                            <span>{entry.rate ?? '–'}</span>
                        </li>
                    ))}
                </ul>
            </Block>
        </MarginLook>
    );
}
