<?php

declare(strict_types=1);

namespace Tests\House;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** A yes or no that is handed over in passing says what it answers: `keep($row, last: true)`, never `keep($row, true)`. */
final class MuteFlagsTest extends TestCase
{
    public function test_no_yes_or_no_is_handed_over_without_its_name(): void
    {
        $files = self::parsed();
        $flags = self::flags($files);
        self::assertGreaterThan(50, count($flags));
        $mute = [];
        foreach ($files as $name => $nodes) {
            foreach (self::mute($nodes, $flags) as $value) {
                $mute[] = "{$name}:{$value->getStartLine()}";
            }
        }
        self::assertSame([], $mute);
    }

    #[TestWith(['new Row("a", true);', 1])]
    #[TestWith(['Row::of(false, 3);', 1])]
    #[TestWith(['$any->of(true);', 1])]
    #[TestWith(['class Longer extends Row { function longer() { return new parent("a", true); } }', 1])]
    #[TestWith(['new Row("a", last: true);', 0])]
    #[TestWith(['Row::of(! $open);', 0])]
    #[TestWith(['new Other("a", true);', 0])]
    public function test_such_a_call_would_be_found(string $call, int $found): void
    {
        $row = 'class Row { public function __construct(string $a, bool $last) {} static function of(bool $open, int $to = 0) {} };';
        self::assertCount($found, self::mute($nodes = self::parse("<?php {$row} {$call}"), self::flags([$nodes])));
    }

    /** @return array<string, list<Node>> */
    private static function parsed(): array
    {
        $root = dirname(__DIR__, 2);
        $parsed = [];
        foreach (Finder::create()->files()->name('*.php')->in(["{$root}/app", "{$root}/core"]) as $file) {
            $parsed[substr($file->getPathname(), strlen($root) + 1)] = self::parse($file->getContents());
        }

        return $parsed;
    }

    /** @return list<Node> */
    private static function parse(string $code): array
    {
        $nodes = array_values((new NodeTraverser(new NameResolver))->traverse((new ParserFactory)->createForHostVersion()->parse($code) ?? []));
        foreach ((new NodeFinder)->findInstanceOf($nodes, Node\Stmt\Class_::class) as $class) {
            foreach ((new NodeFinder)->findInstanceOf($class->stmts, Expr\New_::class) as $new) {
                if ($new->class instanceof Node\Name) {
                    $new->class = match ($new->class->toString()) {
                        'self', 'static' => $class->namespacedName ?? $new->class,
                        'parent' => $class->extends ?? $new->class,
                        default => $new->class,
                    };
                }
            }
        }

        return $nodes;
    }

    /**
     * @param  array<list<Node>>  $files
     * @return array<string, array<int, string>> the names of the flags by place, by `Class::__construct` and by the bare name of a method
     */
    private static function flags(array $files): array
    {
        $flags = [];
        foreach ($files as $nodes) {
            foreach ((new NodeFinder)->findInstanceOf($nodes, Node\Stmt\Class_::class) as $class) {
                foreach ($class->getMethods() as $method) {
                    $name = $method->name->toString() === '__construct' ? "{$class->namespacedName}::__construct" : $method->name->toString();
                    foreach ($method->params as $place => $param) {
                        $type = $param->type instanceof Node\NullableType ? $param->type->type : $param->type;
                        if ($type instanceof Node\Identifier && $type->name === 'bool' && $param->var instanceof Expr\Variable && is_string($param->var->name)) {
                            $flags[$name][$place] = $param->var->name;
                        }
                    }
                }
            }
        }

        return $flags;
    }

    /**
     * @param  list<Node>  $nodes
     * @param  array<string, array<int, string>>  $flags
     * @return list<Node\Arg> bare `true` and `false` in the place of a flag
     */
    private static function mute(array $nodes, array $flags): array
    {
        $mute = [];
        foreach ((new NodeFinder)->find($nodes, static fn (Node $node): bool => $node instanceof Expr\CallLike && ! $node->isFirstClassCallable()) as $call) {
            assert($call instanceof Expr\CallLike);
            $name = match (true) {
                $call instanceof Expr\New_ && $call->class instanceof Node\Name => "{$call->class}::__construct",
                ($call instanceof Expr\MethodCall || $call instanceof Expr\StaticCall || $call instanceof Expr\NullsafeMethodCall) && $call->name instanceof Node\Identifier => $call->name->toString(),
                default => '',
            };
            foreach ($call->getArgs() as $place => $argument) {
                if (isset($flags[$name][$place]) && $argument->name === null && $argument->value instanceof Expr\ConstFetch && in_array($argument->value->name->toLowerString(), ['true', 'false'], true)) {
                    $mute[] = $argument;
                }
            }
        }

        return $mute;
    }
}
