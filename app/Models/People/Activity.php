<?php

declare(strict_types=1);

namespace App\Models\People;

use App\Models\User;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Spatie\Activitylog\Models\Activity as Logged;

/**
 * Something that somebody did and that is no event of the record: figures, prices, people, signing in, exports.
 *
 * @property int $id
 * @property int|null $workshop_id whose it is
 * @property string $description what was done
 * @property string|null $subject_name what it was done to, as it was called then
 * @property CarbonImmutable $created_at
 * @property Model|null $causer
 * @property Model|null $subject
 */
final class Activity extends Logged
{
    protected static function booted(): void
    {
        self::creating(static function (self $activity): void {
            $subject = $activity->subject;
            $workshop = $subject instanceof Workshop ? $subject->id : $subject?->getAttributes()['workshop_id'] ?? null;
            $activity->workshop_id = $workshop ?? ($activity->causer instanceof User ? $activity->causer->workshop_id : null);
            $activity->subject_name ??= $subject?->getAttributes()['name'] ?? null;
        });
    }
}
