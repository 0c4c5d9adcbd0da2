import { useForm } from '@inertiajs/react';
import { useState } from 'react';
import { Button as AriaButton, FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { size } from '../format';
import { buttonLook } from '../parts/Button';
import { Sheet } from '../parts/Sheet';
import type { PhotoProps } from '../types/generated/props';

const MOST = 12_000_000;

const SIDES = [
    { side: 'front', label: 'Front' },
    { side: 'back', label: 'Back' },
] as const;

const Pair = styled.div`
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 18px;
    padding: 6px 0 4px;
    img {
        display: block;
        max-width: 100%;
        max-height: 240px;
        width: auto;
        height: auto;
        border: 1px solid var(--rule);
        margin-bottom: 8px;
    }
    .none {
        display: grid;
        place-items: center;
        height: 92px;
        border: 1.2px dashed var(--rule);
        color: var(--pencil);
        font-size: 12.5px;
        margin-bottom: 8px;
    }
    .error {
        color: var(--rust);
        font-size: 12.5px;
        margin-top: 4px;
    }
`;

const Choose = styled(AriaButton)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** A picture of each side. What is kept is encoded anew, without place, date or camera. */
export function PhotoSheet({ tag, photos }: { tag: string; photos: readonly PhotoProps[] }) {
    const form = useForm<{ side: string; photo: File | null }>({ side: '', photo: null });
    const [tooLarge, setTooLarge] = useState<Record<string, string>>({});
    const errors = { ...(form.errors as Record<string, string>), ...tooLarge };
    const busy = form.processing ? form.data.side : null;
    const send = (side: string, files: FileList | null) => {
        const file = files?.[0];
        if (file === undefined) {
            return;
        }
        if (file.size > MOST) {
            setTooLarge({
                [`photo_${side}`]: `“${file.name}” is ${size(file.size)}; a photo may be 12 MB at most. Send a smaller one.`,
            });
            return;
        }
        setTooLarge({});
        form.setData('side', side);
        form.transform(() => ({ side, photo: file }));
        form.post(`/cards/${tag}/photos`, { forceFormData: true, preserveScroll: true, preserveState: true });
    };

    return (
        <Sheet title="Both sides" caption="JPEG, PNG or WebP up to 12 MB; place and camera are left out">
            <Pair>
                {SIDES.map(({ side, label }) => {
                    const photo = photos.find((entry) => entry.side === side);
                    const error = errors[`photo_${side}`] ?? errors['photo'];
                    return (
                        <div key={side}>
                            {photo === undefined ? (
                                <div className="none">{label}: no photo yet</div>
                            ) : (
                                <img
                                    src={photo.url}
                                    width={photo.width}
                                    height={photo.height}
                                    alt={`${label} of ${tag}`}
                                />
                            )}
                            <FileTrigger
                                acceptedFileTypes={['image/jpeg', 'image/png', 'image/webp']}
                                onSelect={(files) => {
                                    send(side, files);
                                }}
                            >
                                <Choose $quiet isDisabled={busy !== null}>
                                    {busy === side
                                        ? 'Sending…'
                                        : `${photo === undefined ? 'Attach' : 'Replace'} the ${side}`}
                                </Choose>
                            </FileTrigger>
                            {error === undefined ? null : (
                                <p className="error" role="alert">
                                    {error}
                                </p>
                            )}
                        </div>
                    );
                })}
            </Pair>
        </Sheet>
    );
}
