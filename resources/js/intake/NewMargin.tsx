import { Caution, MarginLook, Reasons } from '../frame/Margin';

/** What to know before anything is known. */
export function NewMargin() {
    return (
        <MarginLook>
            <h2>Before it is plugged in</h2>
            <Reasons
                reasons={[
                    {
                        bearing: 'Unproven',
                        lead: 'A mark is a minimum.',
                        rest: 'V60 promises 60 MB/s of sustained writing; it says nothing of the top speed.',
                        evidence: 'SD Association speed-class tables',
                        look: null,
                    },
                    {
                        bearing: 'Unproven',
                        lead: 'Cameras speak Mb/s, cards MB/s.',
                        rest: '400 Mb/s is 50 MB/s. Write the unit, and both are right.',
                        evidence: 'IEC 80000-13',
                        look: null,
                    },
                    {
                        bearing: 'Unproven',
                        lead: 'Turn the card over.',
                        rest: 'UHS-II and SD Express have two rows of contacts. A card that claims them with one row is not what it says.',
                        evidence: 'SD physical-layer specification',
                        look: null,
                    },
                ]}
            />
            <Caution
                caution={{
                    lead: 'Nothing is proven yet.',
                    rest: 'Put no footage on it before its capacity has been read back.',
                }}
            />
        </MarginLook>
    );
}
