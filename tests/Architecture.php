<?php

declare(strict_types=1);

namespace Tests;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The arrows of the house: pages → HTTP → app → core, checked with every run of PHPStan. */
final class Architecture
{
    #[TestRule]
    public function core_knows_nothing_but_php(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('SilentKeep\Core'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Illuminate'), Selector::inNamespace('App'), Selector::inNamespace('Inertia'), Selector::inNamespace('Carbon'), Selector::inNamespace('Symfony'), Selector::inNamespace('Psr'))
            ->because('the core decides without a framework, a clock or any input of its own');
    }

    #[TestRule]
    public function controllers_ask_no_database(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http\Controllers'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Illuminate\Database'), Selector::classname('Illuminate\Support\Facades\DB'))
            ->because('queries belong to actions and to the bridge in app/Keep');
    }

    #[TestRule]
    public function only_the_bridge_builds_viewers_and_plans(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->excluding(Selector::inNamespace('App\Keep'), Selector::inNamespace('App\Console'), Selector::classname('App\Actions\ImportPlan'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('SilentKeep\Core\Viewing'), Selector::classname('SilentKeep\Core\Format\PlanReader'), Selector::classname('SilentKeep\Core\Plan'))
            ->because('who looks at what is told to the core in one place');
    }

    #[TestRule]
    public function the_bridge_does_not_know_the_web(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Keep'), Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Models'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('App\Http\Controllers'), Selector::inNamespace('App\Http\Requests'), Selector::inNamespace('Inertia'))
            ->because('arrows point one way');
    }
}
