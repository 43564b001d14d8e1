<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Spec\CheckKey;

/**
 * A check that a workshop has made up. Its number is never given again, so that what was read of it keeps its name on whatever sheet.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int $number from 1
 * @property string $name
 * @property array{name: string, station: string, kind: string, sided: bool, how: string} $definition as it stands in the sheets
 */
final class OwnCheck extends Model
{
    use IsWatched;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['definition' => 'array'];

    public function key(): CheckKey
    {
        return CheckKey::from("own_{$this->number}");
    }

    /** What a workshop calls a check of its own; null for a key that it has not given. */
    public static function named(int $workshopId, CheckKey $key): ?string
    {
        return self::query()->where('workshop_id', $workshopId)->where('number', (int) substr($key->value, strlen('own_')))->value('name');
    }
}
