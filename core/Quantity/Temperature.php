<?php

declare(strict_types=1);

namespace Tally\Quantity;

/** A temperature as a thermometer at a card shows it. */
final readonly class Temperature
{
    /** Metal this hot hurts within seconds: from memory, ISO 13732-1 burn thresholds for bare metal. */
    public const HURTS = 65.0;

    /** Below this it can be handled bare-handed: from memory, the same standard. */
    public const HANDLE = 48.0;

    private const LEAST = -40.0;

    private const MOST = 150.0;

    private function __construct(public float $celsius) {}

    /** @throws NotAQuantity outside of what a card can be and still be measured */
    public static function celsius(float $degrees): self
    {
        return $degrees >= self::LEAST && $degrees <= self::MOST ? new self($degrees) : throw NotAQuantity::temperature((string) $degrees);
    }

    /**
     * `48`, `48 °C`, `48,5C`, `149 °F`. Without a unit it is taken as °C.
     *
     * @throws NotAQuantity
     */
    public static function parse(string $text): self
    {
        if (
            preg_match('/^([-−]?[0-9]{1,3}(?:[.,][0-9]{1,2})?) *(?:°|deg(?:rees)?)? *(C|F|celsius|fahrenheit)?$/iu', trim($text), $m) !== 1
        ) {
            throw NotAQuantity::temperature($text);
        }
        $number = (float) str_replace(['−', ','], ['-', '.'], $m[1]);
        $fahrenheit = strtoupper(substr($m[2] ?? 'C', 0, 1)) === 'F';
        $celsius = $fahrenheit ? ($number - 32) / 1.8 : $number;

        return $celsius >= self::LEAST && $celsius <= self::MOST ? new self($celsius) : throw NotAQuantity::temperature($text);
    }

    /** `65 °C` */
    public function print(): string
    {
        return round($this->celsius, 1).' °C';
    }

    /** `65 °C (149 °F)` */
    public function both(): string
    {
        return $this->print().' ('.round(1.8 * $this->celsius + 32).' °F)';
    }

    public function hurts(): bool
    {
        return $this->celsius >= self::HURTS;
    }

    public function isTooHotToHandle(): bool
    {
        return $this->celsius >= self::HANDLE;
    }
}
