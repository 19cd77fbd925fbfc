<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A system of others that is told what came about.
 *
 * @property int $id
 * @property string $name
 * @property string $address to which it is told
 * @property bool $on
 * @property string $secret with which what it is told is signed
 * @property int $version
 */
final class OutsideSystem extends Record
{
    protected $table = 'outside_systems';

    public $timestamps = false;

    protected $guarded = [];

    protected $hidden = ['secret'];

    protected $casts = ['on' => 'boolean', 'secret' => 'encrypted'];
}
