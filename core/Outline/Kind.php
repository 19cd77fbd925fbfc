<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

enum Kind: string
{
    case Module = 'module';
    case Lesson = 'lesson';
    case Part = 'part';
    case Board = 'board';

    /**
     * The kinds that may stand directly inside this one.
     *
     * @return list<self>
     */
    public function holds(): array
    {
        return match ($this) {
            self::Module => self::topLevel(),
            self::Lesson => [self::Part],
            self::Part, self::Board => [],
        };
    }

    /** @return list<self> */
    public static function topLevel(): array
    {
        return [self::Module, self::Lesson, self::Board];
    }
}
