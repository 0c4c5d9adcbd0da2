import { Form, type FormProps } from 'react-aria-components';

/** A form whose mistakes the server names. A field that was found wrong does not keep it from being sent again. */
export function ServerForm(props: FormProps) {
    return <Form validationBehavior="aria" {...props} />;
}
