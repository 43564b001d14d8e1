<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use App\Models\Walk\Photo;
use App\Models\Walk\Walk;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Touched;
use App\Walk\PlaceFields;

/** A photo of a place of one walk. What is sent as the field `file` is the digest of the picture. */
final readonly class PhotoEvents implements Kind
{
    public function __construct(
        private Walk $walk,
        private MadePicture $picture,
        private PhotoFiles $files,
    ) {
    }

    public function model(): string
    {
        return Photo::class;
    }

    public function canSupersede(): bool
    {
        return false;
    }

    public function takesBack(array $row): bool
    {
        return false;
    }

    public function wording(): KindWording
    {
        return new KindWording('refused.not_a_reading');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $place = PlaceFields::read($fields, $this->walk->readSheet(), $this->walk->row_count);
        $takenAt = $fields->moment('taken_at', 'refused.no_time', 'refused.in_the_future');

        return [
            'walk_id' => $this->walk->id,
            ...Photo::at($place),
            'file_sha256' => $fields->said('file'),
            'width' => $this->picture->width,
            'height' => $this->picture->height,
            'taken_at' => $takenAt->toIso(),
        ];
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        foreach ($rows as $row) {
            // While the planter is held, and before the photo is on record: one that is has its picture.
            $this->files->keep($row['id'], $row['planter_id'], $this->picture);
        }
    }
}
