<?php

declare(strict_types=1);

namespace Tests;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Viewer;

/** The arrows of the house, checked with every run of PHPStan: what each room may ask, and nothing else. */
final class Architecture
{
    /** On which every room stands. */
    private const GROUND = ['App\Words', 'App\Models', 'App\Casts', 'App\Database', 'App\Files'];

    /** Of the rooms of the job: what each may ask beside the ground, the front door of access, the log, the letters and the stand-ins. */
    private const SUBJECTS = [
        'App\Drafts' => [],
        'App\Publishing' => ['App\Drafts'],
        'App\Sightlines' => ['App\Publishing', 'App\Drafts', 'App\Ledger'],
        'App\People' => ['App\Learning\Quizzes'],
        'App\Offers' => ['App\Drafts', 'App\People'],
        'App\Notices' => ['App\Offers'],
        'App\Learning' => [],
        'App\Triggers' => ['App\People', 'App\Learning\Quizzes'],
        'App\Cartridges' => ['App\Drafts', 'App\Learning'],
        'App\Privacy' => ['App\People', 'App\School\Keeping'],
        'App\School' => ['App\Counting', 'App\Ledger'],
        'App\Counting' => [],
        'App\Ledger' => ['App\Counting'],
        'App\Labels' => ['App\Counting', 'App\Drafts', 'App\Publishing', 'App\Triggers\Spec'],
        'App\Numbers' => ['App\Counting'],
        'App\Agenda' => ['App\Counting'],
        'App\Checks' => ['App\Counting', 'App\Notices', 'App\Sightlines', 'App\Front', 'App\Triggers\Spec'],
        'App\Front' => ['App\Offers', 'App\School\Pictures'],
    ];

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function a_room_asks_only_whom_it_may(): iterable
    {
        $may = [
            'App\Casts' => [],
            'App\Models' => ['App\Casts'],
            'App\Database' => [],
            'App\Words' => ['App\Models', 'App\Casts'],
            'App\Standins' => self::GROUND,
            'App\Access' => self::GROUND,
        ];
        foreach (self::SUBJECTS as $room => $others) {
            $may[$room] = [...self::GROUND, 'App\Access', 'App\School\Log', 'App\School\Letters', 'App\Standins', ...$others];
        }
        $may['App\Pages'] = [...self::GROUND, 'App\Access', 'App\Standins', ...array_keys(self::SUBJECTS)];
        foreach ($may as $room => $asks) {
            yield $room => PHPat::rule()
                ->classes(Selector::inNamespace($room))
                ->shouldNot()->dependOn()
                ->classes(Selector::inNamespace('App'))
                ->excluding(...self::in([$room, ...$asks]))
                ->because('arrows go one way');
        }
    }

    #[TestRule]
    public function core_knows_nothing_but_php(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('SilentKeep\Core'))
            ->shouldNot()->dependOn()
            ->classes(...self::in(['Illuminate', 'App', 'Inertia', 'Carbon', 'Symfony', 'Psr']))
            ->because('the core decides without a framework, a clock or any input of its own');
    }

    #[TestRule]
    public function viewers_and_plans_are_made_in_one_place(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->excluding(Selector::inNamespace('App\Access'))
            ->shouldNot()->construct()
            ->classes(Selector::classname(Viewer::class), Selector::classname(Plan::class))
            ->because('who looks at what is told to the core by access alone');
    }

    #[TestRule]
    public function controllers_ask_no_database(): Rule
    {
        return PHPat::rule()
            ->classes(...self::in(['App\Http\Controllers', 'App\Http\Api\Controllers']))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Illuminate\Database'), Selector::classname('Illuminate\Support\Facades\DB'))
            ->because('queries belong to the rooms and to the builders of pages');
    }

    #[TestRule]
    public function no_room_knows_the_web(): Rule
    {
        return PHPat::rule()
            ->classes(...self::in(['App\Words', 'App\Models', ...array_keys(self::SUBJECTS), 'App\Pages']))
            ->shouldNot()->dependOn()
            ->classes(...self::in(['App\Http', 'App\Console', 'Inertia', 'Illuminate\Http']))
            ->because('what is asked for is told by HTTP');
    }

    /**
     * @param  list<string>  $namespaces
     * @return list<SelectorInterface>
     */
    private static function in(array $namespaces): array
    {
        return array_map(static fn (string $namespace): SelectorInterface => Selector::inNamespace($namespace === '' ? throw new \LogicException : $namespace), $namespaces);
    }
}
