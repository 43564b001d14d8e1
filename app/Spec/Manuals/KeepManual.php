<?php

declare(strict_types=1);

namespace App\Spec\Manuals;

use App\Models\Manual;
use App\Models\User;
use App\Record\Change;
use Illuminate\Http\UploadedFile;

/** Attaches a manual to a planter or a spec sheet; the same file sent again is the one that is there. */
final readonly class KeepManual
{
    public function __construct(private Change $change, private ManualFiles $files)
    {
    }

    /** @param  array{planter_id: int|null, spec_sheet_id: int|null}  $of  one of them */
    public function __invoke(User $user, string $name, array $of, UploadedFile $file): Manual
    {
        $sha256 = (string) hash_file('sha256', $file->getPathname());

        return $this->change->ofWorkshop($user->workshop_id, function () use ($user, $name, $of, $file, $sha256): Manual {
            $known = Manual::query()->where(['workshop_id' => $user->workshop_id, 'sha256' => $sha256] + $of)->first();
            if ($known !== null) {
                return $known;
            }
            $manual = Manual::query()->create(['workshop_id' => $user->workshop_id, 'name' => $name, 'bytes' => $file->getSize(), 'sha256' => $sha256, 'revision' => 1, 'user_id' => $user->id, 'recorded_at' => now()] + $of);
            // Before it is on record: what is has its file.
            $this->files->keep($manual->id, $file->getPathname());

            return $manual;
        });
    }
}
