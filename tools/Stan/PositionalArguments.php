<?php

declare(strict_types=1);

namespace Tools\Stan;

use PhpParser\Node;
use PhpParser\Node\Arg;
use PhpParser\Node\Expr\CallLike;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\New_;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Identifier;
use PhpParser\Node\Name;
use PHPStan\Analyser\Scope;
use PHPStan\Reflection\ExtendedMethodReflection;
use PHPStan\Reflection\ParameterReflection;
use PHPStan\Reflection\ReflectionProvider;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * A row of arguments that nobody can tell apart ends at four: what comes behind is named.
 *
 * @implements Rule<CallLike>
 */
final readonly class PositionalArguments implements Rule
{
    public const MOST = 4;

    private const OURS = '/^(?:App|Tally|Tools|Tests|Database)\\\\/';

    public function __construct(private ReflectionProvider $reflection) {}

    public function getNodeType(): string
    {
        return CallLike::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        if ($node->isFirstClassCallable()) {
            return [];
        }
        $plain = array_filter($node->getArgs(), fn (Arg $arg): bool => $arg->name === null && ! $arg->unpack);
        $called = count($plain) > self::MOST ? $this->called($node, $scope) : null;
        if ($called === null || preg_match(self::OURS, $called->getDeclaringClass()->getName()) !== 1) {
            return [];
        }
        $parameters = $called->getVariants()[0]->getParameters();
        $behind = array_slice($parameters, self::MOST, count($plain) - self::MOST);
        if (array_filter($parameters, fn (ParameterReflection $one): bool => $one->isVariadic()) !== []) {
            return [];
        }
        $names = implode(', ', array_map(fn (ParameterReflection $one): string => $one->getName(), $behind));

        return [
            RuleErrorBuilder::message(
                "{$called->getName()}() is given ".count($plain)." arguments in a row: name those behind the fourth: {$names}.",
            )
                ->identifier('tally.positional')
                ->build(),
        ];
    }

    private function called(CallLike $node, Scope $scope): ?ExtendedMethodReflection
    {
        if ($node instanceof New_ && $node->class instanceof Name) {
            $class = $scope->resolveName($node->class);

            return $this->reflection->hasClass($class) && $this->reflection->getClass($class)->hasConstructor()
                ? $this->reflection->getClass($class)->getConstructor()
                : null;
        }
        if (! ($node instanceof StaticCall || $node instanceof MethodCall) || ! $node->name instanceof Identifier) {
            return null;
        }
        $name = $node->name->toString();
        $type = match (true) {
            $node instanceof MethodCall => $scope->getType($node->var),
            $node->class instanceof Name => $scope->resolveTypeByName($node->class),
            default => $scope->getType($node->class),
        };

        return $type->hasMethod($name)->yes() ? $type->getMethod($name, $scope) : null;
    }
}
