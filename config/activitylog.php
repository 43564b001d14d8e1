<?php

declare(strict_types=1);

use App\Models\Activity;

return ['activity_model' => Activity::class];
