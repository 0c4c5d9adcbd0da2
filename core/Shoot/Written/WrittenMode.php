<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Shoot\Calibration;
use Tally\Shoot\Demand;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** A way of recording as it is written down. */
#[ByHand]
final readonly class WrittenMode
{
    public Mode $mode;

    /**
     * @param  string|null  $writes  with its unit, since cameras speak Mb/s and cards MB/s; of stills it follows from the size of one
     * @param  Bytes|null  $shot  of stills, one of them
     * @param  float|null  $frames  a second
     * @param  Span|null  $clip  how long its takes are at the most
     * @param  string|null  $proxies  what its proxies write, with its unit
     * @param  list<WrittenLength>  $says  what the camera says is left on how much
     * @param  list<WrittenLength>  $clips  how large clips became
     *
     * @throws WrongField
     */
    public function __construct(
        public string $name,
        public ModeKind $kind = ModeKind::LongGop,
        public ?string $writes = null,
        public ?Bytes $shot = null,
        public ?float $frames = null,
        public ?Span $clip = null,
        public Demand $asks = new Demand(),
        public Recording $records = Recording::OneSlot,
        public ?string $proxies = null,
        public array $says = [],
        public array $clips = [],
    ) {
        if ($frames !== null && ($frames <= 0 || $frames > 1000)) {
            throw new WrongField('frames', 'give frames a second, above nothing and up to 1000.');
        }
        $this->mode = $shot !== null && $writes === null ? $this->stills($shot) : $this->moving();
        $complaint = $this->mode->complaint();
        if ($complaint !== null) {
            throw new WrongField('writes', $complaint);
        }
    }

    public static function of(Mode $mode): self
    {
        return new self(
            name: $mode->name,
            kind: $mode->kind,
            writes: $mode->nominal->exact(),
            shot: $mode->shot,
            frames: $mode->frames,
            clip: $mode->clip,
            asks: $mode->demand,
            records: $mode->recording,
            proxies: $mode->proxies?->exact(),
            says: WrittenLength::of($mode->calibrations, false),
            clips: WrittenLength::of($mode->calibrations, true),
        );
    }

    private function stills(Bytes $shot): Mode
    {
        if ($shot->isZero()) {
            throw new WrongField('shot', 'a still of no bytes fills nothing; 24.6 MB would do.');
        }
        $perSecond = $this->frames ?? throw new WrongField('frames', 'say how many shots a second, such as 0.5.');

        return Mode::stills($this->name, $shot, $perSecond, $this->asks, recording: $this->records);
    }

    private function moving(): Mode
    {
        return new Mode(
            name: $this->name,
            kind: $this->kind,
            nominal: self::rate('writes', $this->writes) ?? throw new WrongField('writes', 'give a speed with its unit, such as 100 Mb/s.'),
            shot: $this->shot,
            frames: $this->frames,
            demand: $this->asks,
            recording: $this->records,
            clip: $this->clip,
            calibrations: [
                ...array_map(fn (WrittenLength $one): Calibration => Calibration::says($one->size, $one->length), $this->says),
                ...array_map(fn (WrittenLength $one): Calibration => Calibration::clip($one->size, $one->length), $this->clips),
            ],
            proxies: self::rate('proxies', $this->proxies),
        );
    }

    private static function rate(string $field, ?string $text): ?Rate
    {
        try {
            return $text === null ? null : Mode::rate($text);
        } catch (NotAQuantity $fault) {
            throw new WrongField($field, $fault->getMessage());
        }
    }
}
