import { useEffect, useState } from 'react';
import { clock } from '../charts/Runbook';
import { CountField } from '../parts/countAndDay';
import { TextField } from '../parts/fields';
import { useAsk } from '../parts/useAsk';
import { PlainList } from './PlainList';

/** What one change would save, each reckoned anew, and when it has paid. */
export function WhatHelps({
    asked,
    onFound,
}: {
    /** null while it is not yet its turn. */
    asked: object | null;
    onFound: () => void;
}) {
    const [money, setMoney] = useState({ price: '', hour: '', month: '' });
    const isNumber = (text: string) => /^\d*[.,]?\d*$/.test(text.trim());
    const numbers = Object.fromEntries(
        Object.entries(money).map(([name, text]) => [name, isNumber(text) ? text.trim().replace(',', '.') : '']),
    );
    const found = useAsk('/offload/what-if', asked === null ? null : { ...asked, ...numbers }, 400);
    useEffect(() => {
        if (found !== null) {
            onFound();
        }
    }, [found, onFound]);
    const field = (name: keyof typeof money) => ({
        name,
        value: money[name],
        error: isNumber(money[name]) ? undefined : `“${money[name]}” is not a number. Write it as 45 or 45.50.`,
        onChange: (value: string) => {
            setMoney({ ...money, [name]: value });
        },
        figures: true,
    });
    return (
        <>
            <h3>What would help</h3>
            {found === null ? (
                <p role="status">Working it out…</p>
            ) : found.length === 0 ? (
                <p>No single change saves more than a few seconds.</p>
            ) : (
                <PlainList aria-label="What would help">
                    {found.map((one) => (
                        <li key={one.words}>
                            {one.words}: <b>{clock(one.saves)}</b> sooner.
                            {one.worth === null ? null : <small> {one.worth}</small>}
                        </li>
                    ))}
                </PlainList>
            )}
            <details>
                <summary>Worth its price?</summary>
                <TextField {...field('price')} label="Price of the thing" placeholder="180" />
                <TextField {...field('hour')} label="Value of an hour" placeholder="45" />
                <CountField {...field('month')} label="Offloads a month" placeholder="12" />
            </details>
        </>
    );
}
