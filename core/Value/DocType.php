<?php

declare(strict_types=1);

namespace Tally\Value;

use LogicException;
use ReflectionParameter;

/**
 * The type that the docblock of a constructor says of a parameter, as far as JSON holds such: `list<Patch>`, `array<string, int>`,
 * `array{float, float}|null`. Read here and not by a parser of all that a docblock may say: that one takes 5 ms of every page.
 */
final readonly class DocType
{
    /**
     * @param  string  $name  `list`, `array`, `tuple`, `union`, or the name of a class or of a built-in type
     * @param  list<self>  $parts  what it is made of
     */
    private function __construct(public string $name, public array $parts = []) {}

    public static function of(ReflectionParameter $parameter): self
    {
        $function = $parameter->getDeclaringFunction();
        $doc = (string) preg_replace('/\n\s*\*\s?/', ' ', (string) $function->getDocComment());
        $class = $parameter->getDeclaringClass();
        if ($class === null || preg_match('/@param\s+(\S+(?:[,|] ?\S+)*?)\s+\$'.$parameter->getName().'\b/', $doc, $said) !== 1) {
            throw new LogicException("Nobody says what {$class?->getName()}::\${$parameter->getName()} is a list of.");
        }
        preg_match_all('/^use ([\w\\\\]+\\\\(\w+));$/m', (string) file_get_contents((string) $class->getFileName()), $uses);

        return self::parse(str_replace(' ', '', $said[1]), array_combine($uses[2], $uses[1]), $class->getNamespaceName());
    }

    /** @param  array<string, string>  $uses  class by its short name */
    private static function parse(string $type, array $uses, string $namespace): self
    {
        $parsed = fn (string $part): self => self::parse($part, $uses, $namespace);
        $either = self::split($type, '|');

        return match (true) {
            count($either) > 1 => new self('union', array_map($parsed, $either)),
            preg_match('/^(list|array|non-empty-list)<(.+)>$/', $type, $m) === 1 => new self(
                $m[1] === 'array' ? 'array' : 'list',
                [$parsed(self::split($m[2], ',')[$m[1] === 'array' ? 1 : 0] ?? throw new LogicException("“{$type}” says no items."))],
            ),
            preg_match('/^array\{(.+)\}$/', $type, $m) === 1 => new self('tuple', array_map($parsed, self::split($m[1], ','))),
            preg_match('/^[a-z]+$/', $type) === 1 => new self($type),
            default => new self(ltrim($uses[$type] ?? (str_contains($type, '\\') ? $type : "{$namespace}\\{$type}"), '\\')),
        };
    }

    /** @return list<string> the parts of it, but not those within < > or { } */
    private static function split(string $type, string $by): array
    {
        [$parts, $depth] = [[''], 0];
        foreach (str_split($type) as $letter) {
            $depth += match ($letter) {
                '<', '{' => 1,
                '>', '}' => -1,
                default => 0,
            };
            $letter === $by && $depth === 0 ? ($parts[] = '') : ($parts[count($parts) - 1] .= $letter);
        }

        return $parts;
    }
}
