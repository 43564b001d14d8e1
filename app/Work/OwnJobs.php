<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\OwnJob;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;

/** Work that the shop adds to one planter. */
#[Declared(OwnJob::class, item: 'own_job.item', gone: 'own_job.gone', when: 'hands.when')]
final readonly class OwnJobs implements Kind
{
    use EventDefaults;

    private const MOST_MINUTES = 6000;

    private const LONGEST = 120;

    public function __construct(private Planter $planter)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $title = trim($fields->text('title', self::LONGEST, 'own_job.title'));

        return [
            'row_number' => $fields->whole('row', 0, $this->planter->row_count, 'own_job.row') ?? throw Refused::because('row', 'own_job.row'),
            'title' => $title !== '' ? $title : throw Refused::because('title', 'own_job.title'),
            'minutes' => $fields->whole('minutes', 1, self::MOST_MINUTES, 'own_job.minutes') ?? throw Refused::because('minutes', 'own_job.minutes'),
            'blocks' => $fields->flag('blocks', 'refused.unknown_flag'),
        ];
    }
}
