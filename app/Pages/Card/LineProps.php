<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What was read from a label's line, as the fields of the form take it. */
final readonly class LineProps
{
    /**
     * @param  string  $line  as it was given
     * @param  list<FieldProps>  $fields  only those that were printed
     * @param  list<string>  $marks
     * @param  string|null  $marksFrom  the parts the marks were read from
     * @param  list<string>  $notes
     * @param  list<string>  $unknown  parts that were not understood
     */
    public function __construct(
        public string $line,
        public array $fields,
        public array $marks,
        public ?string $marksFrom,
        public array $notes,
        public array $unknown,
    ) {}
}
