<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Course;
use App\Models\Person;
use Database\Seeders\DemoSchool;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Carbon;

abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    /** The demo school, as if it had been loaded at noon on an ordinary day. */
    protected function demoSchool(string $now = '2026-03-10T12:00:00Z'): void
    {
        Carbon::setTestNow($now);
        app(DemoSchool::class)->run();
    }

    protected function person(string $name): Person
    {
        return Person::query()->where('email', "{$name}@alder.test")->firstOrFail();
    }

    protected function course(string $key = 'clinker'): Course
    {
        return Course::query()->where('key', $key)->firstOrFail();
    }
}
