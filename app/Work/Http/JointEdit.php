<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use App\Models\Planter;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;

/** What holds something that comes off: one variant for all rows, or one each for rows that differ. */
final readonly class JointEdit extends Input
{
    public function __construct(
        /** @var list<JointVariantEdit> */
        #[Field('joint.variants', 'max:12')] public array $variants,
        /** That was changed; 0 of one that nobody has said anything of */
        public int $revision = 0,
    ) {
    }

    public function columns(): array
    {
        return ['variants' => array_map(static fn (JointVariantEdit $of): array => $of->jsonSerialize(), $this->variants)];
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        $planter = $request->route('planter');
        $rows = array_merge(...array_column($input->variants, 'rows'));
        foreach ($input->variants as $at => $variant) {
            if ($variant->pin === '' && $variant->tools === '') {
                $checked->errors()->add("variants.{$at}.pin", __('joint.empty'));
            }
        }
        $isOfAll = array_filter($input->variants, static fn (JointVariantEdit $of): bool => $of->rows === []);
        if (count(array_unique($rows)) < count($rows) || count($isOfAll) > 1) {
            $checked->errors()->add('variants', __('joint.twice'));
        }
        if ($planter instanceof Planter && array_filter($rows, static fn (int $row): bool => $row < 1 || $row > $planter->row_count) !== []) {
            $checked->errors()->add('variants', __('joint.rows_of', ['last' => $planter->row_count]));
        }
    }
}
