<?php

declare(strict_types=1);

namespace App\Models\Kit;

use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Quantity\Rate;

/**
 * Gear with a link whose ceiling the house may have measured itself.
 *
 * @property Rate|null $measured
 * @property string|null $measured_how
 */
trait MeasuredLink
{
    abstract public function kindOfLink(): HostLink;

    /** What somebody writes over a run's measurement hangs on that run no longer. */
    protected static function bootMeasuredLink(): void
    {
        self::saving(function (self $gear): void {
            if ($gear->isDirty('measured', 'measured_how') && ! $gear->isDirty('measured_run_id')) {
                $gear->setAttribute('measured_run_id', null);
            }
        });
    }

    /** The house's own measurement wins once it exists. */
    public function asLink(): Link
    {
        $link = $this->kindOfLink()->link();

        return $this->measured === null
            ? $link
            : new Link(
                $link->name,
                $link->ceiling->measuredAs($this->measured, $this->measured_how ?? 'measured here'),
            );
    }
}
