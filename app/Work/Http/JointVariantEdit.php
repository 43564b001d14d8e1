<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;

/** What holds a joint on some rows, and what it is opened with. */
final readonly class JointVariantEdit extends Input
{
    public function __construct(
        /** @var list<int> From 1; empty for all rows that no other names */
        #[Field('joint.rows', 'max:64')] public array $rows = [],
        /** Pin, bolt or clip, in words */
        #[Field('joint.text', 'max:120')] public string $pin = '',
        /** In words */
        #[Field('joint.text', 'max:120')] public string $tools = '',
    ) {
    }
}
