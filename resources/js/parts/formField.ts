interface Form<Data> {
    data: Data;
    errors: Partial<Record<keyof Data & string, string>>;
    setData: (field: keyof Data & string, value: never) => void;
}

/** What ties a control to a field of an Inertia form: `<TextField {...field('price')} label="Price" />`. */
export function formField<Data extends Record<string, unknown>>(form: Form<Data>, prefix = '') {
    return (name: keyof Data & string) => ({
        name: `${prefix}${name}`,
        value: form.data[name] as string,
        error: form.errors[name],
        onChange: (value: string) => {
            form.setData(name, value as never);
        },
    });
}
