<?php

declare(strict_types=1);

namespace Tally\Value;

use BackedEnum;
use Closure;
use DateTimeImmutable;
use DateTimeZone;
use InvalidArgumentException;
use LogicException;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;

/**
 * How a field is read, by its type: as it should be, or a sentence says which one is not.
 *
 * Items of lists and rows are looked at too, which is why no ready-made mapper does it: those at hand take what a docblock says
 * of scalars in a list on trust, and take ten times as long.
 */
final readonly class Reading
{
    /** Larger than any offset, speed or time that can be measured; what is above it only blanks pictures. */
    private const LARGEST = 1e18;

    private const MOMENT = '!Y-m-d\TH:i:s\Z';

    /** @return Closure(mixed, string): mixed  what is given, and where it stands */
    public static function of(ReflectionParameter $parameter): Closure
    {
        $type = $parameter->getType();
        $in = $parameter->getAttributes(In::class)[0] ?? null;
        if ($in !== null) {
            $one = self::inUnit($in->newInstance()->quantity);
            $isMany = $type instanceof ReflectionNamedType && $type->getName() === 'array';

            return $isMany ? self::each(DocType::of($parameter)->name === 'list', $one) : $one;
        }

        return $type instanceof ReflectionNamedType && ! in_array($type->getName(), ['array', 'mixed'], true)
            ? self::named($type->getName())
            : self::typed(DocType::of($parameter));
    }

    /**
     * @param  string  $type  a class, an enum, or the name of a built-in type
     * @return Closure(mixed, string): mixed
     */
    public static function for(string $type): Closure
    {
        /** @var array<string, Closure(mixed, string): mixed> $known */
        static $known = [];

        return $known[$type] ??= self::named($type);
    }

    /**
     * @param  class-string<OwnJson>  $quantity
     * @return Closure(mixed, string): mixed
     */
    private static function inUnit(string $quantity): Closure
    {
        return function (mixed $given, string $at) use ($quantity): float {
            $number = self::own($quantity, $given, $at)->jsonSerialize();

            return is_int($number) || is_float($number) ? (float) $number : throw new LogicException("{$quantity} is no number.");
        };
    }

    /** @return Closure(mixed, string): mixed */
    private static function typed(DocType $type): Closure
    {
        $parts = array_map(self::typed(...), $type->parts);

        return match ($type->name) {
            'list', 'array' => self::each($type->name === 'list', $parts[0]),
            'tuple' => self::parts($parts),
            'union' => self::either($parts),
            'null' => fn (mixed $given, string $at): mixed => $given === null ? null : throw self::wrong($at, $given, 'leave it out.'),
            default => self::named($type->name),
        };
    }

    /** @return Closure(mixed, string): mixed */
    private static function named(string $type): Closure
    {
        return match (true) {
            $type === 'int' => self::whole(...),
            $type === 'float' => self::number(...),
            $type === 'bool' => fn (mixed $given, string $at): bool => is_bool($given)
                ? $given
                : throw self::wrong($at, $given, 'say true or false.'),
            $type === 'string' => fn (mixed $given, string $at): string => is_string($given)
                ? $given
                : throw self::wrong($at, $given, 'give a text.'),
            $type === 'mixed' => fn (mixed $given): mixed => $given,
            $type === DateTimeImmutable::class => self::moment(...),
            is_a($type, BackedEnum::class, true) => fn (mixed $given, string $at): BackedEnum => self::choice($type, $given, $at),
            is_a($type, OwnJson::class, true) => fn (mixed $given, string $at): OwnJson => self::own($type, $given, $at),
            interface_exists($type) => self::oneOf($type),
            class_exists($type) => fn (mixed $given, string $at): object => $given === null
                ? throw NotUsable::missing($at, 'give an object.')
                : Shape::of($type)->read($given, $at),
            default => throw new LogicException("JSON holds no {$type}."),
        };
    }

    /**
     * @param  class-string  $interface
     * @return Closure(mixed, string): object
     */
    private static function oneOf(string $interface): Closure
    {
        $told = (new ReflectionClass($interface))->getAttributes(OneOf::class);
        $of = $told === [] ? throw new LogicException("JSON holds no {$interface}.") : $told[0]->newInstance();

        return function (mixed $given, string $at) use ($of): object {
            $kind = is_array($given) ? $given[$of->key] ?? null : throw self::wrong($at, $given, 'give an object.');
            $class = is_string($kind) ? $of->classes[$kind] ?? null : null;
            $wanted = 'one of these would do: '.implode(', ', array_keys($of->classes)).'.';

            return $class === null ? throw NotUsable::in($given, $at, $of->key, $wanted) : Shape::of($class)->read($given, $at);
        };
    }

    /** A size, an offset, a count of things: none is below nothing. */
    private static function whole(mixed $given, string $at): int
    {
        if (is_float($given) && floor($given) === $given && abs($given) < 2 ** 62) {
            $given = (int) $given;
        }
        // Above 2⁵³ they are kept as text, since who reads them in a browser would round them.
        $whole = is_string($given) ? filter_var($given, FILTER_VALIDATE_INT) : $given;
        if (! is_int($whole)) {
            throw self::wrong($at, $given, 'give a whole number.');
        }

        return $whole >= 0 ? $whole : throw self::wrong($at, $given, 'give a number that is not below nothing.');
    }

    private static function number(mixed $given, string $at): float
    {
        return (is_int($given) || is_float($given)) && abs((float) $given) <= self::LARGEST
            ? (float) $given
            : throw self::wrong($at, $given, 'give a number.');
    }

    private static function moment(mixed $given, string $at): DateTimeImmutable
    {
        $moment = is_string($given) ? DateTimeImmutable::createFromFormat(self::MOMENT, $given, new DateTimeZone('UTC')) : false;

        return $moment === false ? throw self::wrong($at, $given, 'write the moment as 2026-11-01T18:30:00Z.') : $moment;
    }

    /** @param  class-string<BackedEnum>  $enum */
    private static function choice(string $enum, mixed $given, string $at): BackedEnum
    {
        foreach ($enum::cases() as $one) {
            if ($one->value === $given) {
                return $one;
            }
        }
        $values = array_map(fn (BackedEnum $one): int|string => $one->value, $enum::cases());
        throw self::wrong($at, $given, 'one of these would do: '.implode(', ', $values).'.');
    }

    /** @param  class-string<OwnJson>  $class */
    private static function own(string $class, mixed $given, string $at): OwnJson
    {
        try {
            return $class::fromJson($given);
        } catch (InvalidArgumentException $fault) {
            throw self::wrong($at, $given, $fault->getMessage());
        }
    }

    /**
     * @param  list<Closure(mixed, string): mixed>  $readings
     * @return Closure(mixed, string): mixed
     */
    private static function either(array $readings): Closure
    {
        return function (mixed $given, string $at) use ($readings): mixed {
            $faults = [];
            foreach ($readings as $reading) {
                try {
                    return $reading($given, $at);
                } catch (NotUsable $fault) {
                    $faults[strlen($fault->field)] = $fault;
                }
            }
            // What came furthest says best what is wrong.
            ksort($faults);

            throw $faults === [] ? self::wrong($at, $given, 'give it.') : array_pop($faults);
        };
    }

    /**
     * @param  Closure(mixed, string): mixed  $reading
     * @return Closure(mixed, string): array<mixed>
     */
    private static function each(bool $isList, Closure $reading): Closure
    {
        return function (mixed $given, string $at) use ($isList, $reading): array {
            if (! is_array($given) || ($isList && ! array_is_list($given))) {
                throw self::wrong($at, $given, $isList ? 'give a list.' : 'give an object.');
            }
            foreach ($given as $key => $one) {
                $given[$key] = $reading($one, is_int($key) ? "{$at}[{$key}]" : "{$at}.{$key}");
            }

            return $given;
        };
    }

    /**
     * @param  list<Closure(mixed, string): mixed>  $readings
     * @return Closure(mixed, string): array<mixed>
     */
    private static function parts(array $readings): Closure
    {
        return function (mixed $given, string $at) use ($readings): array {
            if (! is_array($given)) {
                throw self::wrong($at, $given, 'give a row.');
            }
            $parts = [];
            foreach ($readings as $place => $reading) {
                $parts[] = $reading($given[$place] ?? null, "{$at}.{$place}");
            }

            return $parts;
        };
    }

    private static function wrong(string $at, mixed $given, string $wanted): NotUsable
    {
        return $given === null ? NotUsable::missing($at, $wanted) : NotUsable::field($at, $given, $wanted);
    }
}
