<?php

declare(strict_types=1);

namespace Tools\Types;

use BackedEnum;
use LogicException;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\DocType;
use Tally\Value\Format;
use Tally\Value\In;
use Tally\Value\Inline;
use Tally\Value\Key;
use Tally\Value\OneOf;
use Tally\Value\OwnJson;
use Tally\Value\Row;

/**
 * The JSON schema of a file that people write, from the constructors that read it: fields, types, what must be there, and what a docblock
 * says of each. What a constructor refuses beyond that, it refuses with a sentence.
 */
final class JsonSchema
{
    private const DIALECT = 'https://json-schema.org/draft/2020-12/schema';

    /** @var array<string, array<string, mixed>> what is pointed at, by name */
    private array $defs = [];

    /**
     * @param  class-string  $class
     * @param  bool  $orMany  whether a file may hold a list of them
     */
    public static function of(string $class, string $title, string $description, bool $orMany = false): string
    {
        $schema = new self();
        $one = $schema->pointed($class);
        $what = $orMany ? ['oneOf' => [$one, ['type' => 'array', 'minItems' => 1, 'maxItems' => 2000, 'items' => $one]]] : $one;
        ksort($schema->defs);

        return json_encode(
            ['$schema' => self::DIALECT, 'title' => $title, 'description' => $description, ...$what, '$defs' => $schema->defs],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function pointed(string $class): array
    {
        $name = class_basename($class);
        if (! isset($this->defs[$name])) {
            $this->defs[$name] = [];
            $this->defs[$name] = $this->described(new ReflectionClass($class));
        }

        return ['$ref' => "#/\$defs/{$name}"];
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function described(ReflectionClass $class): array
    {
        $of = ($class->getAttributes(OneOf::class)[0] ?? null)?->newInstance();
        if ($of !== null) {
            $each = [];
            foreach ($of->classes as $said => $one) {
                $each[] = ['allOf' => [$this->pointed($one), ['properties' => [$of->key => ['const' => $said]]]]];
            }

            return ['oneOf' => $each];
        }
        $parameters = $class->getConstructor()?->getParameters() ?? [];
        if ($class->getAttributes(Row::class) !== []) {
            $needed = count(array_filter($parameters, fn (ReflectionParameter $one): bool => ! $one->isOptional()));

            return [
                'type' => 'array',
                'prefixItems' => array_map($this->type(...), $parameters),
                'minItems' => $needed,
                'maxItems' => count($parameters),
            ];
        }
        [$properties, $required] = $this->fields($class);
        $format = ($class->getAttributes(Format::class)[0] ?? null)?->newInstance()->written() ?? [];
        foreach ($format as $key => $value) {
            $properties = [$key => ['const' => $value], ...$properties];
        }

        return [
            'type' => 'object',
            ...$this->said((string) $class->getDocComment(), '/\*\*\s*(.+?)\s*\*/s'),
            'required' => [...array_keys($format), ...$required],
            'properties' => $properties,
        ];
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array{array<string, mixed>, list<string>} and those that must be there
     */
    private function fields(ReflectionClass $class): array
    {
        [$properties, $required] = [[], []];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            if ($parameter->getAttributes(Inline::class) !== []) {
                [$more, $needed] = $this->fields(new ReflectionClass($this->class($parameter)));
                [$properties, $required] = [[...$properties, ...$more], [...$required, ...$needed]];

                continue;
            }
            $key = ($parameter->getAttributes(Key::class)[0] ?? null)?->newInstance()->name ??
                strtolower((string) preg_replace('/(?<!^)[A-Z]/', '_$0', $parameter->getName()));
            $doc = (string) $parameter->getDeclaringFunction()->getDocComment();
            $properties[$key] = [
                ...$this->type($parameter),
                ...$this->said($doc, '/@param\s+[^$]+\$'.$parameter->getName().'\b\s+(\S.*?)(?=\n\s*\*\s*(?:@|\n|\/)|\s*\*\/)/s'),
            ];
            if (! $parameter->isOptional() && ! $parameter->allowsNull()) {
                $required[] = $key;
            }
        }

        return [$properties, $required];
    }

    /** @return array{description?: string} */
    private function said(string $doc, string $pattern): array
    {
        $said = preg_match($pattern, $doc, $match) === 1 ? trim((string) preg_replace('/\s*\n\s*\*\s*/', ' ', $match[1])) : '';

        return $said === '' || str_contains($said, '@') ? [] : ['description' => $said];
    }

    /** @return class-string */
    private function class(ReflectionParameter $parameter): string
    {
        $type = $parameter->getType();
        $name = $type instanceof ReflectionNamedType ? $type->getName() : '';

        return class_exists($name) || interface_exists($name)
            ? $name
            : throw new LogicException("\${$parameter->getName()} is of no class.");
    }

    /** @return array<string, mixed> */
    private function type(ReflectionParameter $parameter): array
    {
        $type = $parameter->getType();
        $in = $parameter->getAttributes(In::class)[0] ?? null;
        $name = $type instanceof ReflectionNamedType ? $type->getName() : 'mixed';
        $one = match (true) {
            $in !== null && $name !== 'array' => $this->named($in->newInstance()->quantity),
            $in !== null => $this->many(DocType::of($parameter)->name, $this->named($in->newInstance()->quantity)),
            $name === 'array' => $this->documented(DocType::of($parameter)),
            default => $this->named($name),
        };

        return $parameter->allowsNull() ? ['oneOf' => [$one, ['type' => 'null']]] : $one;
    }

    /** @return array<string, mixed> */
    private function documented(DocType $type): array
    {
        return match ($type->name) {
            'list', 'array' => $this->many($type->name, $this->documented($type->parts[0])),
            'tuple' => ['type' => 'array', 'prefixItems' => array_map($this->documented(...), $type->parts)],
            'union' => ['oneOf' => array_map($this->documented(...), $type->parts)],
            default => $this->named($type->name),
        };
    }

    /**
     * @param  array<string, mixed>  $each
     * @return array<string, mixed>
     */
    private function many(string $kind, array $each): array
    {
        return $kind === 'list' ? ['type' => 'array', 'items' => $each] : ['type' => 'object', 'additionalProperties' => $each];
    }

    /** @return array<string, mixed> */
    private function named(string $type): array
    {
        return match (true) {
            $type === 'mixed' => [],
            $type === 'int' => ['type' => 'integer', 'minimum' => 0],
            $type === 'float' => ['type' => 'number'],
            $type === 'bool' => ['type' => 'boolean'],
            $type === 'string' => ['type' => 'string'],
            $type === 'null' => ['type' => 'null'],
            is_a($type, BackedEnum::class, true) => ['enum' => array_column($type::cases(), 'value')],
            is_a($type, OwnJson::class, true) => $this->quantity($type),
            class_exists($type), interface_exists($type) => $this->pointed($type),
            default => throw new LogicException("JSON holds no {$type}."),
        };
    }

    /**
     * @param  class-string<OwnJson>  $type
     * @return array<string, mixed>
     */
    private function quantity(string $type): array
    {
        $name = class_basename($type);
        $this->defs[$name] = [
            'description' => match ($type) {
                Bytes::class => 'as people write it, 127.87 GB or 119 GiB, or as a number of bytes',
                Rate::class => 'as people write it, 95 MB/s or 760 Mb/s, or as bytes a second',
                default => 'as people write it',
            },
            'type' => ['string', 'number'],
        ];

        return ['$ref' => "#/\$defs/{$name}"];
    }
}
