import { Head, Link } from '@inertiajs/react';
import styled from 'styled-components';
import { CourseTrace } from '../charts/CourseTrace';
import { CopySheet } from '../copy/CopySheet';
import { megabytes, percent, reached } from '../format';
import { Margin } from '../frame/Margin';
import { Sheet, Title } from '../parts/Sheet';
import { HeatSheet } from '../run/HeatSheet';
import { VoidSheet } from '../run/VoidSheet';
import { WayDots } from '../run/WayDots';
import type { RunPage, WayProps } from '../types/generated/props';

const Facts = styled.dl`
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 3px 16px;
    font-size: 13px;
    dt {
        color: var(--pencil);
        font-stretch: 84%;
    }
`;

const Words = styled.div`
    font-size: 13px;
    .suspect {
        color: var(--rust);
    }
    .struck {
        text-decoration: line-through;
        color: var(--pencil);
    }
`;

/** One run, whole: how each figure was got, on which chain, over which region, and whether it counts. */
export default function Run({ card, run, person, margin }: RunPage) {
    return (
        <>
            <Head title={run.title} />
            <main>
                <Title>
                    <div>
                        <h1>
                            <span className="tag">{run.tag}</span>
                            {run.title}
                        </h1>
                        <p>
                            <Link href={`/measure/${card.tag}`}>{`All runs of ${card.tag}`}</Link>
                            {run.counts || run.going ? '' : ' · this one is out of every verdict'}
                        </p>
                    </div>
                </Title>
                {run.ways.map((way) => (
                    <Way key={way.way} way={way} counts={run.counts} />
                ))}
                {run.course === null ? null : (
                    <Sheet title="Trace" caption={run.course.caption} aside="MB/s">
                        <CourseTrace course={run.course} />
                    </Sheet>
                )}
                {run.copy === null ? null : <CopySheet copy={run.copy} linked={false} />}
                {run.words.length === 0 ? null : (
                    <Sheet title="Result">
                        {run.words.map((words) => (
                            <p key={words} style={{ fontSize: 13 }}>
                                {words}
                            </p>
                        ))}
                    </Sheet>
                )}
                <Sheet title="How it was measured">
                    <Facts>
                        {run.facts.map((fact) => (
                            <div key={fact.label} style={{ display: 'contents' }}>
                                <dt>{fact.label}</dt>
                                <dd>{fact.words}</dd>
                            </div>
                        ))}
                    </Facts>
                </Sheet>
                <HeatSheet run={run} />
                <VoidSheet key={run.void === null ? 'counts' : 'void'} run={run} person={person} />
            </main>
            <Margin margin={margin} here={`/runs/${run.id}`} />
        </>
    );
}

function Way({ way, counts }: { way: WayProps; counts: boolean }) {
    const spread = way.margin === null ? '' : ` ± ${megabytes(way.margin)} at 95 %`;
    const deviation =
        way.deviation === null
            ? ''
            : `, deviation ${megabytes(way.deviation)}${way.variation === null ? '' : `, CV ${percent(way.variation, 1)}`}`;
    const figures = `mean ${megabytes(way.mean)}${spread} MB/s, median ${reached(way.median)}${deviation}`;
    return (
        <Sheet
            title={way.way === 'write' ? 'Written' : 'Read'}
            caption={`${way.rates.length} ${way.rates.length === 1 ? 'time' : 'times'}`}
            aside="MB/s"
        >
            <WayDots way={way} />
            <Words>
                <p className={way.suspicion !== null || !counts ? 'struck' : ''}>{figures}</p>
                {way.suspicion === null ? null : <p className="suspect">{`Not trusted: ${way.suspicion}.`}</p>}
                {way.notes.map((note) => (
                    <p key={note}>{note}</p>
                ))}
            </Words>
        </Sheet>
    );
}
