<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** What a flow is for. */
enum FlowKind: string
{
    case Copy = 'copy';
    case ReadBack = 'read back';
    case Relay = 'relay';
}
