import { router } from '@inertiajs/react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { megabytes, percent, size } from '../format';
import type { RunningProps } from '../types/generated/props';
import { Button } from './Button';
import { Sheet } from './Sheet';

const Bar = styled(ProgressBar)`
    .track {
        height: 22px;
        border: 1.2px solid var(--ink);
        margin: 4px 0 8px;
        background: repeating-linear-gradient(90deg, transparent 0 calc(10% - 1px), var(--rule) calc(10% - 1px) 10%);
    }
    .fill {
        height: 100%;
        background: var(--tarn);
        transition: width 0.3s linear;
    }
    .writing {
        background: repeating-linear-gradient(45deg, var(--tarn) 0 4px, var(--sheet) 4px 7px);
    }
`;

const Row = styled.div`
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 16px;
    font-size: 13px;
    min-height: 44px;
    .figures {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 12px;
    }
    p {
        color: var(--pencil);
        font-size: 12.5px;
    }
`;

const STOPPED: Record<string, string> = {
    'full proof':
        'Stopped or unplugged, it keeps its place and can be continued; what it wrote stays on the card. What was read back counts.',
    'quick screen': 'Stopped, it proves nothing, and is quickly run again.',
};

/** A run under way: share done, rate now, time left, and what happens when it is stopped. */
export function RunningSheet({ running }: { running: RunningProps }) {
    const { progress } = running;
    const share = progress?.share ?? 0;
    const what =
        running.away !== null
            ? `waiting for ${running.away}, which is away; nobody else takes it`
            : running.waiting || progress === null
              ? 'waiting for the station’s worker'
              : describe(running);
    return (
        <Sheet title={`A ${running.kind} is going`} caption={what} aside={percent(share)}>
            <Bar value={100 * share} aria-label={`Progress of the ${running.kind}`}>
                <div className="track">
                    <div
                        className={progress?.phase === 'reading' ? 'fill' : 'fill writing'}
                        style={{ width: `${100 * share}%` }}
                    />
                </div>
            </Bar>
            <Row>
                <div>
                    <span className="figures">
                        {progress?.rate == null ? '–' : `${megabytes(progress.rate / 1e6)} MB/s now`}
                        {progress?.left == null ? '' : ` · ${progress.left} left`}
                    </span>
                    <p>{STOPPED[running.kind] ?? 'Stopped, what was measured whole counts.'}</p>
                </div>
                <Button
                    quiet
                    isDisabled={running.stopping}
                    onPress={() => {
                        router.post(`/runs/${running.id}/stop`, {}, { preserveScroll: true });
                    }}
                >
                    {running.stopping ? 'Stopping…' : 'Stop this run'}
                </Button>
            </Row>
        </Sheet>
    );
}

function describe(running: RunningProps): string {
    const { progress } = running;
    if (progress === null) {
        return '';
    }
    const run = running.runs > 1 ? `run ${progress.run} of ${running.runs}, ` : '';
    return `${run}${progress.phase}: ${size(progress.at)} of ${size(progress.of)}`;
}
