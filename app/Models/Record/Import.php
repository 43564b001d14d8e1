<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Factories\Record\ImportFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that is to go into a planter's record, or has: where it is in it, and what came of it.
 *
 * @property int $id
 * @property int $planter_id
 * @property string $kind of ImportKind
 * @property string $file_name
 * @property string $sha256
 * @property int $kept
 * @property int $left_out
 * @property int $user_id
 * @property CarbonImmutable $imported_at when it was sent
 * @property ImportState $state
 * @property string $mode of ImportMode
 * @property array<mixed>|null $mapping as it was sent; null: to be guessed
 * @property list<int> $leave_out numbers of lines that are not wanted
 * @property int $line the last one that is in the record
 * @property int $starts since it last got on
 * @property array<string, mixed>|null $report of ImportReport
 * @property string|null $refused why, in the technician's words
 * @property Planter $planter
 * @property User $user
 */
final class Import extends Model
{
    /** @use HasFactory<ImportFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'imported_at' => 'immutable_datetime',
        'state' => ImportState::class,
        'mapping' => 'array',
        'leave_out' => 'array',
        'report' => 'array',
    ];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
