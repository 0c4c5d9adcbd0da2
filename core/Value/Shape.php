<?php

declare(strict_types=1);

namespace Tally\Value;

use InvalidArgumentException;
use ReflectionClass;
use ReflectionMethod;

/** How JSON holds a value of one class, as its constructor tells it. */
final class Shape
{
    /** @var array<class-string, self> */
    private static array $known = [];

    /**
     * @param  ReflectionClass<object>  $class
     * @param  list<Field>  $fields
     * @param  array<string, ReflectionMethod>  $told  by key in JSON: the method that tells it
     */
    private function __construct(
        private readonly ReflectionClass $class,
        private readonly array $fields,
        private readonly array $told,
        private readonly bool $isRow,
        private readonly bool $isByHand,
        private readonly ?Format $format,
    ) {}

    /** @param  class-string  $class */
    public static function of(string $class): self
    {
        return self::$known[$class] ??= self::described(new ReflectionClass($class));
    }

    /** @throws NotUsable */
    public function read(mixed $given, string $at): object
    {
        if (! is_array($given) || ($this->isRow && ! array_is_list($given))) {
            throw NotUsable::field($at, $given, $this->isRow ? 'give a row.' : 'give an object.');
        }
        $this->format?->mustBe($given, $at);
        if ($this->isByHand) {
            $this->mustBeSpelt($given, $at);
        }
        $values = [];
        foreach ($this->fields as $i => $field) {
            $key = $this->isRow ? $i : $field->key;
            $values[] = $field->isInline
                ? $field->amid($given, $at)
                : $field->read($given[$key] ?? null, $at === '' ? $key : "{$at}.{$key}");
        }
        try {
            return $this->make($values);
        } catch (WrongField $fault) {
            throw NotUsable::in($given, $at, $fault->field, $fault->getMessage());
        } catch (InvalidArgumentException $fault) {
            throw NotUsable::field($at, $given, $fault->getMessage());
        }
    }

    /** @param  array<string, mixed>  $changes  by the name of the field */
    public function altered(object $value, array $changes): object
    {
        $values = [];
        foreach ($this->fields as $field) {
            $values[$field->name()] = $field->valueIn($value);
        }

        return $this->make([...$values, ...$changes]);
    }

    /** @return array<mixed> */
    public function write(object $value): array
    {
        $written = $this->format?->written() ?? [];
        foreach ($this->fields as $field) {
            $one = Values::plain($field->valueIn($value));
            $written = $field->isInline ? [...$written, ...is_array($one) ? $one : []] : [...$written, $field->key => $one];
        }
        foreach ($this->told as $key => $method) {
            $written[$key] = Values::plain($method->invoke($value));
        }

        return match (true) {
            $this->isRow => array_values($written),
            // What people may read over says nothing of what is not there.
            $this->isByHand => array_filter($written, fn (mixed $one): bool => $one !== null && $one !== []),
            default => $written,
        };
    }

    /** Whether all that must be given is there. */
    public function isIn(mixed $given): bool
    {
        $needed = array_filter($this->fields, fn (Field $field): bool => $field->isNeeded());

        return is_array($given) && array_filter($needed, fn (Field $field): bool => ! isset($given[$field->key])) === [];
    }

    /** @return list<string> in JSON */
    private function keys(): array
    {
        return array_merge(
            $this->format === null ? [] : array_keys($this->format->written()),
            ...array_map(fn (Field $field): array => $field->isInline ? $field->shape()->keys() : [$field->key], $this->fields),
        );
    }

    /**
     * @param  array<mixed>  $given
     *
     * @throws NotUsable
     */
    private function mustBeSpelt(array $given, string $at): void
    {
        foreach (array_keys($given) as $key) {
            $meant = ByHand::meant((string) $key, $this->keys());
            if ($meant !== null) {
                $known = implode(', ', $this->keys());
                throw NotUsable::in(
                    $given,
                    $at,
                    (string) $key,
                    "there is no such field; perhaps “{$meant}” is meant. Known here: {$known}.",
                );
            }
        }
    }

    /** @param  array<mixed>  $values */
    private function make(array $values): object
    {
        $made = $this->class->newInstanceWithoutConstructor();
        $this->class->getConstructor()?->invokeArgs($made, $values);

        return $made;
    }

    /** @param  ReflectionClass<object>  $class */
    private static function described(ReflectionClass $class): self
    {
        $told = [];
        foreach ($class->getMethods() as $method) {
            foreach ($method->getAttributes(Key::class) as $key) {
                $told[$key->newInstance()->name] = $method;
            }
        }

        return new self(
            $class,
            array_map(Field::of(...), $class->getConstructor()?->getParameters() ?? []),
            $told,
            $class->getAttributes(Row::class) !== [],
            isByHand: $class->getAttributes(ByHand::class) !== [],
            format: ($class->getAttributes(Format::class)[0] ?? null)?->newInstance(),
        );
    }
}
