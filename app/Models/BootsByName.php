<?php

declare(strict_types=1);

namespace App\Models;

/**
 * For models: the framework looks through all three hundred methods of each for attributes that name what is to be called as the model is
 * first used, which is a twelfth of a page. Ours, and the framework's own, are all called by their names.
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        $initialize = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot{$name}")) {
                static::{"boot{$name}"}();
            }
            if (method_exists(static::class, "initialize{$name}")) {
                $initialize[] = "initialize{$name}";
            }
        }
        static::$traitInitializers[static::class] = $initialize;
    }
}
