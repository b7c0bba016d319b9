<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What of one sound or film of a handout was played. */
final readonly class WatchedView
{
    /**
     * @param string                   $kind     sound or film
     * @param float                    $seconds  how long it lasts; 0 where nobody has played any of it
     * @param int                      $part     seconds of a part
     * @param list<float>              $shares   of the students, who played each part
     * @param list<float>              $times    how often each part was played, by those who played it
     * @param FigureView               $through  share of the students who played it through
     * @param list<StretchView>        $again    what was played again most
     * @param list<WatchedStudentView> $students
     */
    public function __construct(
        public string $file,
        public string $title,
        public string $kind,
        public float $seconds,
        public int $part,
        public array $shares,
        public array $times,
        public FigureView $through,
        public array $again,
        public array $students,
    ) {
    }
}
