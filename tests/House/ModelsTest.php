<?php

declare(strict_types=1);

namespace Tests\House;

use App\Models\ApiToken;
use App\Models\BootsByName;
use App\Models\Record;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionClass;
use ReflectionMethod;
use Tests\TestCase;

final class ModelsTest extends TestCase
{
    /** @return iterable<string, array{class-string<Model>}> */
    public static function models(): iterable
    {
        foreach (glob(__DIR__.'/../../app/Models/*.php') ?: [] as $file) {
            $class = 'App\\Models\\'.basename($file, '.php');
            if (is_subclass_of($class, Model::class) && ! (new ReflectionClass($class))->isAbstract()) {
                yield basename($file, '.php') => [$class];
            }
        }
    }

    /**
     * @param  class-string<Model>  $class
     */
    #[DataProvider('models')]
    public function test_what_is_called_as_a_model_is_first_used_is_what_the_framework_would_call(string $class): void
    {
        if ($class === ApiToken::class) {
            self::assertNotContains(BootsByName::class, class_uses_recursive($class));

            return;
        }
        self::assertContains(BootsByName::class, class_uses_recursive($class));
        new $class;
        $ours = (new ReflectionClass(Model::class))->getStaticPropertyValue('traitInitializers')[$class];
        // As the framework finds them: by name, or by an attribute.
        $named = array_map(class_basename(...), array_values(class_uses_recursive($class)));
        $of = static fn (string $what, string $attribute): array => array_values(array_map(static fn (ReflectionMethod $method): string => $method->name, array_filter(
            (new ReflectionClass($class))->getMethods(),
            static fn (ReflectionMethod $method): bool => in_array($method->name, array_map(static fn (string $name): string => $what.$name, $named), true) || $method->getAttributes($attribute) !== [],
        )));
        self::assertEqualsCanonicalizing($of('initialize', Initialize::class), $ours);
        $boots = array_filter($of('boot', Boot::class), static fn (string $name): bool => (new ReflectionMethod($class, $name))->isStatic());
        self::assertEqualsCanonicalizing(array_filter(array_map(static fn (string $name): string => "boot{$name}", $named), static fn (string $name): bool => method_exists($class, $name)), $boots);
    }

    /**
     * @param  class-string<Model>  $class
     */
    #[DataProvider('models')]
    public function test_it_says_which_table_is_its_own(string $class): void
    {
        self::assertNotNull((new ReflectionClass($class))->getProperty('table')->getDefaultValue(), 'To guess it takes longer than to read a row.');
        self::assertTrue(is_subclass_of($class, Record::class) || in_array($class, [ApiToken::class, \App\Models\Person::class], true));
    }
}
