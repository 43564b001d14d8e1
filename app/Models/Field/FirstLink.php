<?php

declare(strict_types=1);

namespace App\Models\Field;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * The one-time link with which an empty installation begins.
 *
 * @property int $id
 * @property string $link_sha256
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $used_at
 */
final class FirstLink extends Model
{
    protected $table = 'set_ups';

    protected $guarded = [];

    protected $casts = ['expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
}
