<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A student under the models. */
final readonly class ModelStudentView
{
    /** @param bool $unusual the pattern of right and wrong is unlikely at this ability */
    public function __construct(
        public string $studentId,
        public string $name,
        public FigureView $ability,
        public FigureView $pattern,
        public FigureView $guttman,
        public bool $unusual,
    ) {
    }
}
