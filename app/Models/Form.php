<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A small public form.
 *
 * @property int $id
 * @property string $name
 * @property string $token part of its address
 * @property bool $on
 * @property string $text Markdown, above its fields
 * @property string $consent what is agreed to; empty: nothing is asked
 * @property list<array{ask: string, required: bool}> $questions of the school
 * @property string $thanks Markdown, once it is sent
 * @property int $version
 */
final class Form extends Record
{
    protected $table = 'forms';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['on' => 'boolean', 'questions' => 'array'];
}
