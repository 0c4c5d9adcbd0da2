<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** Bytes that go from one place to others, while they go. */
final class Flow
{
    public float $left;

    public FlowType $type;

    /**
     * @param  int  $at  the placement that it belongs to
     * @param  list<int>  $writes  drives
     * @param  int|null  $reads  drive
     */
    public function __construct(
        public readonly FlowKind $kind,
        public readonly int $at,
        public readonly float $bytes,
        public readonly int $files,
        public readonly FlowPath $path,
        public readonly array $writes,
        public readonly ?int $reads,
        public readonly float $since,
    ) {
        $this->left = $bytes;
    }
}
