<?php

declare(strict_types=1);

namespace App\Models;

/** How days and moments are written, everywhere alike: for people, and for programs. */
final readonly class When
{
    public const DAY = 'j M Y';

    public const MOMENT = 'j M Y, H:i';

    public const SECOND = 'j M Y, H:i:s';

    /** Of what is not long ago, or soon. */
    public const THESE_DAYS = 'j M, H:i';

    public const MONTH = 'M Y';

    /** As forms and tables of programs have it. */
    public const ISO_DAY = 'Y-m-d';

    /** The same of a moment, in UTC. */
    public const ISO_MOMENT = 'Y-m-d\TH:i:s\Z';
}
