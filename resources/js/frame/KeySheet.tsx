import { Dialog, Heading, Modal, ModalOverlay, SwitchButton, SwitchField } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { useSingleKeys } from './useKeys';

export const Overlay = styled(ModalOverlay)`
    position: fixed;
    inset: 0;
    background: rgb(20 18 12 / 0.45);
    display: flex;
    justify-content: center;
    align-items: flex-start;
    padding: 90px 16px 16px;
    z-index: 10;
`;

export const Card = styled(Modal)`
    background: var(--sheet);
    border: 1.5px solid var(--ink);
    padding: 20px 22px;
    width: 460px;
    max-width: 100%;
    max-height: 78vh;
    overflow: auto;
    [role='dialog'] {
        outline: none;
    }
    h2 {
        font-size: 20px;
        font-weight: 760;
        font-stretch: 76%;
        margin-bottom: 10px;
    }
    dl {
        display: grid;
        grid-template-columns: max-content 1fr;
        gap: 6px 16px;
        margin: 0 0 16px;
        font-size: 13.5px;
    }
    dd {
        margin: 0;
    }
    .switch {
        display: flex;
        align-items: center;
        gap: 10px;
        margin-bottom: 16px;
        font-size: 13.5px;
        cursor: pointer;
    }
    .knob {
        width: 34px;
        height: 18px;
        border: 1.5px solid var(--ink);
        border-radius: 9px;
        padding: 2px;
        flex: none;
    }
    .knob::before {
        content: '';
        display: block;
        width: 11px;
        height: 11px;
        border-radius: 50%;
        background: var(--ink);
    }
    .switch[data-selected] .knob::before {
        margin-left: auto;
        background: var(--rust);
    }
`;

const KEYS: [string, string][] = [
    ['1 – 7', 'go to a stage'],
    ['/', 'find a card'],
    ['↑ ↓ or j k', 'move in the tray'],
    ['n', 'add a card'],
    ['g', 'take the suggested next step'],
    ['m', 'the main action of the page'],
    ['i', 'log what happened to a card'],
    ['space', 'a lap, while a stopwatch is open'],
    ['a – e', 'the answer, while a card is inspected'],
    ['a – f', 'another plan, while an offload is planned'],
    ['a – p', 'what to do next, while practising'],
    [', .', 'the question before, the one after'],
    ['?', 'this sheet'],
    ['Ctrl/⌘ K', 'find any card or page'],
];

/** All keys, and a switch for those without a modifier. */
export function KeySheet({ open, onClose }: { open: boolean; onClose: () => void }) {
    const [on, setOn] = useSingleKeys();
    return (
        <Overlay isOpen={open} onOpenChange={onClose} isDismissable>
            <Card>
                <Dialog>
                    <Heading slot="title">Keys</Heading>
                    <dl>
                        {KEYS.map(([key, does]) => (
                            <div key={key} style={{ display: 'contents' }}>
                                <dt>
                                    <kbd>{key}</kbd>
                                </dt>
                                <dd>{does}</dd>
                            </div>
                        ))}
                    </dl>
                    <SwitchField isSelected={on} onChange={setOn}>
                        <SwitchButton className="switch">
                            <span className="knob" />
                            Keys without Ctrl or ⌘ act (never while you type)
                        </SwitchButton>
                    </SwitchField>
                    <Button onPress={onClose} quiet>
                        Close the sheet
                    </Button>
                </Dialog>
            </Card>
        </Overlay>
    );
}
