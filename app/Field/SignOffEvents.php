<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\SignOff;
use App\Models\Planter;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Refused;
use App\Record\Touched;
use Ustrel\Core\Field\Dig\SignOffKind;

/** That the rows of one planter were turned by hand, and that it is ready. */
final readonly class SignOffEvents implements Kind
{
    private const LONGEST = 300;

    private const LONGEST_NAME = 80;

    public function __construct(private Planter $planter)
    {
    }

    public function model(): string
    {
        return SignOff::class;
    }

    public function canSupersede(): bool
    {
        return true;
    }

    public function takesBack(array $row): bool
    {
        return $row['withdrawn'];
    }

    public function wording(): KindWording
    {
        return new KindWording('sign_off.item', 'sign_off.gone');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $withdrawn = $fields->flag('withdrawn', 'refused.unknown_flag');
        if ($withdrawn && $envelope->supersedes === null) {
            throw Refused::because('supersedes', 'sign_off.gone');
        }
        $rows = [];
        foreach ($fields->list('rows', 'sign_off.rows') as $row) {
            $rows[] = is_int($row) && $row >= 1 && $row <= $this->planter->row_count ? $row : throw Refused::because('rows', 'sign_off.rows', ['rows' => $this->planter->row_count]);
        }

        return [
            'kind' => ($fields->oneOf('kind', SignOffKind::class, 'sign_off.kind') ?? throw Refused::because('kind', 'sign_off.kind'))->value,
            'field' => trim($fields->text('field', self::LONGEST_NAME, 'acres.field')),
            'rows' => json_encode(array_values(array_unique($rows)), JSON_THROW_ON_ERROR),
            'words' => trim($fields->text('words', self::LONGEST, 'bench.note')),
            'happened_at' => $fields->moment('happened_at', 'dig.when', 'dig.when')->toIso(),
            'withdrawn' => $withdrawn,
        ];
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        // Nothing hangs on it.
    }
}
