import { router, useForm } from '@inertiajs/react';
import { useEffect } from 'react';
import { percent } from '../format';
import { poller } from '../frame/poller';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Nothing } from '../parts/Nothing';
import { Ruled, Sheet } from '../parts/Sheet';
import type { DriveCareProps, DriveCheckProps } from '../types/generated/props';

/** Milliseconds between two looks at how far a check has come. */
const EVERY = 1000;

/** A drive is held against the lists on it, with progress; and it goes out of service, or comes back. */
export function DriveCare({ tag, care }: { tag: string; care: DriveCareProps }) {
    const look = useForm({ folder: care.folder, by: care.person });
    const away = useForm({ why: '', by: care.person });
    const [lookField, awayField] = [formField(look), formField(away)];
    const going = care.checks.some((check) => !check.isOver);
    useEffect(() => {
        if (!going) {
            return undefined;
        }
        const asked = poller(
            () =>
                new Promise((resolve) => {
                    router.reload({
                        only: ['care', 'found'],
                        onFinish: () => {
                            resolve();
                        },
                    });
                }),
            () => EVERY,
        );
        asked.start();
        return asked.stop;
    }, [going]);
    return (
        <>
            <Sheet title="Against its lists" caption="every copy on it that has a list, file by file">
                <Fields>
                    <div className="half">
                        <TextField {...lookField('folder')} label="Mounted at" placeholder="/media/drive-1" figures />
                    </div>
                    <NameField {...lookField('by')} name="verify-by" label="Your name" />
                    <div style={{ alignSelf: 'end' }}>
                        <Button
                            quiet
                            isDisabled={look.processing || going}
                            onPress={() => {
                                look.post(`/drives/${tag}/verify`, { preserveScroll: true, preserveState: true });
                            }}
                        >
                            Verify this drive
                        </Button>
                    </div>
                </Fields>
                {care.checks.length === 0 ? (
                    <Nothing>It was not looked at yet. Plug it in, and say where it is mounted.</Nothing>
                ) : (
                    <Ruled aria-label="Checks of this drive">
                        <thead>
                            <tr>
                                <th>When</th>
                                <th>By</th>
                                <th>Found</th>
                            </tr>
                        </thead>
                        <tbody>
                            {care.checks.map((check) => (
                                <Check key={check.id} tag={tag} check={check} />
                            ))}
                        </tbody>
                    </Ruled>
                )}
            </Sheet>
            <Sheet title="In service" aside={care.gone === null ? 'in service' : 'out of service'}>
                {care.gone === null ? (
                    <>
                        <p>
                            {care.leaning === 0
                                ? 'No card may be cleared because of a copy on it.'
                                : `Cards that may be cleared because of a copy on it: ${care.leaning}. Out of service it counts for none.`}
                        </p>
                        <Fields>
                            <div className="half">
                                <TextField {...awayField('why')} label="Why it goes" placeholder="lost on the boat" />
                            </div>
                            <NameField {...awayField('by')} name="gone-by" label="Your name" />
                            <div style={{ alignSelf: 'end' }}>
                                <Button
                                    quiet
                                    isDisabled={away.processing}
                                    onPress={() => {
                                        away.post(`/drives/${tag}/gone`, { preserveScroll: true });
                                    }}
                                >
                                    Take it out of service
                                </Button>
                            </div>
                        </Fields>
                    </>
                ) : (
                    <>
                        <p>Out of service {care.gone}. No plan uses it, and nothing on it secures a card.</p>
                        <Button
                            quiet
                            onPress={() => {
                                router.post(`/drives/${tag}/back`, {}, { preserveScroll: true });
                            }}
                        >
                            Take it back
                        </Button>
                    </>
                )}
            </Sheet>
        </>
    );
}

function Check({ tag, check }: { tag: string; check: DriveCheckProps }) {
    return (
        <tr>
            <td>{check.on}</td>
            <td>{check.by}</td>
            <td>
                <b>{check.isOver ? check.state : `${check.state}, ${percent(check.share)}`}</b>{' '}
                {check.isOver ? (
                    check.message
                ) : (
                    <>
                        <progress aria-label="Share that was read" value={check.share} max={1} />{' '}
                        <Button
                            quiet
                            onPress={() => {
                                router.post(`/drives/${tag}/verify/${check.id}/stop`, {}, { preserveScroll: true });
                            }}
                        >
                            Stop
                        </Button>
                    </>
                )}
                {check.lines.length === 0 ? null : (
                    <ul>
                        {check.lines.map((line) => (
                            <li key={line}>{line}</li>
                        ))}
                    </ul>
                )}
            </td>
        </tr>
    );
}
