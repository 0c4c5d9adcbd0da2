<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Kit\ChoiceProps;

/** Over which gear a figure from elsewhere may have been measured. */
final readonly class ChainChoicesProps
{
    /**
     * @param  list<ChoiceProps>  $readers  those that take the card
     * @param  list<ChoiceProps>  $ports  of all hosts
     * @param  list<ChoiceProps>  $drives
     */
    public function __construct(public array $readers, public array $ports, public array $drives) {}
}
