<?php

declare(strict_types=1);

namespace App\Models\People;

use Illuminate\Database\Eloquent\Model;

/**
 * How often something was tried that can be guessed at.
 *
 * @property string $key
 * @property int $count
 */
final class Attempt extends Model
{
    protected $table = 'tries';

    protected $primaryKey = 'key';

    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];
}
