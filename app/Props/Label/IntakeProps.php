<?php

declare(strict_types=1);

namespace App\Props\Label;

/** The label form, as it was typed or is kept. */
final readonly class IntakeProps
{
    /** @param  list<string>  $marks */
    public function __construct(
        public string $tag,
        public string $name,
        public string $form,
        public string $capacity,
        public string $family,
        public string $bus,
        public array $marks,
        public string $read,
        public string $write,
        public string $sustained,
        public string $times,
        public string $contact_rows,
        public string $footage,
    ) {}
}
