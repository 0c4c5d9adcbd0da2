<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Something that happened with a card in a camera, and who was there. */
trait LoggedAtCamera
{
    /** @return array<string, list<mixed>> */
    private function cameraRules(): array
    {
        return [
            'camera_id' => ['bail', 'required', 'integer', 'exists:cameras,id'],
            'by' => ['required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    private function cameraMessages(): array
    {
        return [
            'camera_id' => 'This camera is not in the kit. Choose one of the list.',
            'by.required' => 'Nobody is named. Write who was at the camera.',
            'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
        ];
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
