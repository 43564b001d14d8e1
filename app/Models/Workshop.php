<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The root of everything that is kept: each user, planter and own spec sheet belongs to one.
 *
 * @property int $id
 * @property string $name
 * @property string $watch_chance over this chance of reaching the limit within the season a part is watched, 0 to 1
 */
final class Workshop extends Model
{
    protected $guarded = [];

    protected $attributes = ['watch_chance' => '0.2'];
}
