<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** The label form, as it was typed or is kept. */
final readonly class IntakeProps
{
    /**
     * @param  list<string>  $marks
     * @param  string  $count  how many like it, when it is entered
     * @param  string  $serials  of a batch, one to a line
     */
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
        public string $serial,
        public string $back_code,
        public string $price,
        public string $seller,
        public string $order_no,
        public string $lot,
        public string $bought_on,
        public string $provenance,
        public string $label_line,
        public string $count,
        public string $serials,
    ) {}
}
