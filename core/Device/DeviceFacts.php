<?php

declare(strict_types=1);

namespace Tally\Device;

/** What is known of an open medium besides its bytes. */
final readonly class DeviceFacts
{
    /**
     * @param  Identity|null  $identity  what it is, asked of what is open; null for a made-up medium
     * @param  string|null  $folder  the name of the run's own folder on it; null where it has none
     * @param  string|null  $manner  how it is read and written, in words; null where the usual way needs none
     */
    public function __construct(public ?Identity $identity = null, public ?string $folder = null, public ?string $manner = null) {}
}
