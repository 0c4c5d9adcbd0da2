import type { DriveCopyProps } from '../types/generated/props';

/** Where a copy stands, by its shape: tick, cross, dashed box, filled strip. The word stands beside it. */
export function Mark({ of, size = 14 }: { of: DriveCopyProps['mark']; size?: number }) {
    return (
        <svg width={size} height={size} viewBox="0 0 16 16" fill="none" aria-hidden="true" style={{ flex: 'none' }}>
            {of === 'right' ? <path d="m2 9 4 4L14 3" stroke="currentColor" strokeWidth="2.6" /> : null}
            {of === 'wrong' ? <path d="m3 3 10 10M13 3 3 13" stroke="currentColor" strokeWidth="2.8" /> : null}
            {of === 'not yet' ? (
                <rect
                    x="2.5"
                    y="2.5"
                    width="11"
                    height="11"
                    stroke="currentColor"
                    strokeWidth="1.4"
                    strokeDasharray="2.4 2"
                />
            ) : null}
            {of === 'copied' ? (
                <rect x="2" y="5" width="12" height="6" stroke="currentColor" strokeWidth="1.6" />
            ) : null}
            {of === 'going' ? <rect x="1.5" y="4.5" width="13" height="7" fill="currentColor" /> : null}
        </svg>
    );
}
