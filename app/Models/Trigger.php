<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What is done by itself when something comes about.
 *
 * @property int $id
 * @property string $name
 * @property bool $on
 * @property array<array-key, mixed> $spec when, if and then, as App\Triggers\Spec\TriggerSpec writes them
 * @property ?\DateTimeImmutable $since what came about before sets nothing off; null: it was never on
 * @property int $version
 */
final class Trigger extends Record
{
    protected $table = 'triggers';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['on' => 'boolean', 'spec' => 'array', 'since' => UtcInstant::class];

    protected $attributes = ['on' => false, 'version' => 1];
}
