<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use App\Models\Walk\Photo;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Walk\PlaceFields;

/** A photo of a place of one walk. What is sent as the field `file` is the digest of the picture. */
#[Declared(Photo::class, item: 'refused.not_a_reading', when: 'refused.no_time', ahead: 'refused.in_the_future', moment: 'taken_at')]
final readonly class PhotoEvents implements Kind
{
    use EventDefaults;

    public function __construct(
        private Walk $walk,
        private MadePicture $picture,
        private PhotoFiles $files,
    ) {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $place = PlaceFields::read($fields, $this->walk->readSheet(), $this->walk->row_count);

        return [
            'walk_id' => $this->walk->id,
            ...Photo::at($place),
            'file_sha256' => $fields->said('file'),
            'width' => $this->picture->width,
            'height' => $this->picture->height,
        ];
    }

    public function affect(array $rows, array $superseded, Affected $affected): void
    {
        foreach ($rows as $row) {
            // While the planter is held, and before the photo is on record: one that is has its picture.
            $this->files->keep($row['id'], $row['planter_id'], $this->picture);
        }
    }
}
