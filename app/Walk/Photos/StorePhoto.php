<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use App\Models\Photo;
use App\Models\User;
use App\Models\Walk;
use App\Record\Fields;
use App\Record\RefusedReading;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** Keeps a photo of a place. Sending it again changes nothing; another picture under its id is refused. */
final readonly class StorePhoto
{
    public function __construct(private PhotoFiles $files)
    {
    }

    /**
     * @param  string  $id  made on the device
     *
     * @throws RefusedReading
     * @throws \App\Walk\Photos\NotAPicture
     */
    public function __invoke(Walk $walk, User $by, string $id, Fields $fields, UploadedFile $file): Photo
    {
        $place = $fields->place($walk->readSheet(), $walk->row_count);
        $takenAt = $fields->takenAt();
        $sha256 = (string) hash_file('sha256', $file->getPathname());
        $known = Photo::query()->with('planter')->find($id);
        if ($known !== null) {
            $isSame = $known->sent_sha256 === $sha256 && $known->walk_id === $walk->id;

            return $isSame ? $known : throw RefusedReading::because('id_taken');
        }

        return DB::transaction(function () use ($walk, $by, $id, $place, $takenAt, $sha256, $file): Photo {
            // The files first: a photo that is on record always has its picture.
            $size = $this->files->keep($id, $walk->planter_id, Picture::read($file->getPathname()));

            return Photo::query()->create([
                'id' => $id,
                'walk_id' => $walk->id,
                'planter_id' => $walk->planter_id,
                'row_number' => $place->row,
                'check_key' => $place->check->value,
                'side' => $place->side->value,
                'sent_sha256' => $sha256,
                ...$size,
                'taken_at' => $takenAt->format('Y-m-d H:i:s.vP'),
                'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
                'user_id' => $by->id,
            ]);
        });
    }
}
