<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use Tally\Label\Label;
use Tally\Value\Inline;

/** A card and what its label says, as a result file tells it. */
final readonly class FiledCard
{
    /** @param  string  $label  the line as it was typed */
    public function __construct(#[Inline] public Label $printed, public string $tag = '', public string $label = '') {}
}
