<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The root of everything that is kept: each user, planter and own spec sheet belongs to one.
 *
 * @property int $id
 * @property string $name
 */
final class Workshop extends Model
{
    protected $guarded = [];
}
