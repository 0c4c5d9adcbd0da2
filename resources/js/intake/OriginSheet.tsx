import { CountField, DayField } from '../parts/countAndDay';
import { SelectField, TextArea, TextField } from '../parts/fields';
import { Sheet } from '../parts/Sheet';
import type { ChoicesProps } from '../types/generated/props';
import { Fields } from './Fields';
import type { Text } from './values';

/** Where a card comes from, and the codes by which it can be told from another. A new one may stand for a whole lot. */
export function OriginSheet({ text, choices, isNew }: { text: Text; choices: ChoicesProps; isNew: boolean }) {
    const many = Number(text('count').value) > 1;
    return (
        <Sheet title="Where it comes from" caption="codes as they stand on the card, the rest from the bill">
            <Fields>
                {isNew ? <CountField {...text('count')} label="How many of these" placeholder="1" /> : null}
                {many ? null : <TextField {...text('serial')} label="Serial" figures placeholder="none seen" />}
                <TextField {...text('back_code')} label="Code on the back" figures placeholder="none seen" />
                <TextField {...text('lot')} label="Lot" figures placeholder="not known" />
                <SelectField {...text('provenance')} label="Source" none="not recorded" choices={choices.provenances} />
                <TextField {...text('price')} label="Unit price" figures placeholder="24.90 EUR" />
                <TextField {...text('seller')} label="Seller" placeholder="not known" />
                <TextField {...text('order_no')} label="Order" figures placeholder="not known" />
                <DayField {...text('bought_on')} label="Bought on" />
                {many ? (
                    <div className="whole">
                        <TextArea
                            {...text('serials')}
                            label="Serials, one to a line, in the order of the tags"
                            hint={text('serials').hint ?? `tags count up from ${text('tag').value}`}
                            figures
                        />
                    </div>
                ) : null}
            </Fields>
        </Sheet>
    );
}
