<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Media\Api\Input\UploadInput;
use ChalkLadder\Server\Media\Api\View\FileView;
use ChalkLadder\Server\Media\Api\View\UploadView;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Owner;
use ChalkLadder\Server\Media\Uploads;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\Talk;
use Symfony\Component\HttpFoundation\Response;

/** The files of students: what a paper shows them, and what they send in a sitting while it is open. */
final readonly class SittingFiles
{
    public function __construct(
        private SittingReader $reader,
        private Handouts $handouts,
        private Talk $talk,
        private Files $files,
        private Uploads $uploads,
    ) {
    }

    public function begin(StudentUser $who, string $sittingId, UploadInput $input): UploadView
    {
        $sitting = $this->reader->ofStudent($who->id, $sittingId);
        if ($sitting->state !== SittingState::Open) {
            throw Problem::conflict('This work is handed in.', 'Nothing can be added to it. Ask your teacher to open it again.');
        }

        return $this->uploads->begin(Owner::sitting($who->teamId, $sittingId), $input);
    }

    public function state(StudentUser $who, string $sittingId, string $upload): UploadView
    {
        return $this->uploads->state($this->owner($who, $sittingId), $upload);
    }

    public function take(StudentUser $who, string $sittingId, string $upload, int $at, string $bytes): UploadView
    {
        return $this->uploads->take($this->owner($who, $sittingId), $upload, $at, $bytes);
    }

    public function cancel(StudentUser $who, string $sittingId, string $upload): void
    {
        $this->uploads->cancel($this->owner($who, $sittingId), $upload);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<FileView>
     */
    public function about(StudentUser $who, array $ids): array
    {
        return $this->files->about($who->teamId, $this->allowed($who, $ids));
    }

    public function send(StudentUser $who, string $id): Response
    {
        return $this->may($who, $id) ? $this->files->send($who->teamId, $id) : throw Problem::notFound('The file');
    }

    public function page(StudentUser $who, string $id, int $page): Response
    {
        return $this->may($who, $id) ? $this->files->page($who->teamId, $id, $page) : throw Problem::notFound('The file');
    }

    private function may(StudentUser $who, string $id): bool
    {
        return $this->allowed($who, [$id]) !== [];
    }

    /**
     * What the student has sent, what stands in something that they have been given, and what a teacher has spoken to them.
     *
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private function allowed(StudentUser $who, array $ids): array
    {
        $sittings = $this->files->sittingsOf($who->teamId, $ids);
        $own = array_keys(array_intersect($sittings, $this->reader->idsOf($who->id)));
        $teams = array_keys($sittings, null, true);
        $given = [...$this->handouts->shown($who->id, $teams), ...$this->talk->spokenTo($who->id, $teams)];

        return array_values(array_intersect($ids, [...$own, ...$given]));
    }

    private function owner(StudentUser $who, string $sittingId): Owner
    {
        return $this->reader->isOf($who->id, $sittingId)
            ? Owner::sitting($who->teamId, $sittingId)
            : throw Problem::notFound('The sitting');
    }
}
