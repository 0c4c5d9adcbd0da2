<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Kit\Port;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Stations\StationFolders;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Tally\Device\Fault\UnusablePath;

/** A slot of a bench as typed. */
final class SaveSlot extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'kind' => ['required', Rule::enum(SlotKind::class)],
            'path' => ['nullable', 'required_unless:kind,stand-in', 'string', 'max:250', 'regex:#^/[^\x00-\x1F]*$#D'],
            'reader' => ['required', 'integer', 'exists:readers,id'],
            'port' => ['required', 'integer', 'exists:ports,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'The name is empty. Write what this place is called, such as Bay 3.',
            'name' => 'The name is longer than 40 characters. Write a shorter one.',
            'kind' => 'Choose what stands behind it: a folder where cards are mounted, a raw device, or stand-ins.',
            'path.required_unless' => 'The path is empty. Write where its cards are mounted, such as /media/bay-3, or its device, '.
            'such as /dev/disk/by-id/….',
            'path.regex' => 'The path does not begin at /. Write all of it, such as /media/bay-3.',
            'path' => 'The path is longer than 250 characters.',
            'reader' => 'Choose the reader that it is.',
            'port' => 'Choose the port that its reader hangs on.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isNotEmpty()) {
                    return;
                }
                $slot = $this->route('slot');
                $station = $slot instanceof Slot ? $slot->station()->first() : $this->route('station');
                $path = $this->string('path')->value();
                if ($station instanceof Station && $station->isHere() && $this->input('kind') === SlotKind::Folder->value && $path !== '') {
                    try {
                        StationFolders::allowed()->mustBeBelow($path);
                    } catch (UnusablePath $fault) {
                        $validator->errors()->add('path', $fault->getMessage());
                    }
                }
                $port = Port::query()->whereKey($this->integer('port'))->first();
                if ($station instanceof Station && $port !== null && $port->host_id !== $station->host_id) {
                    $validator
                        ->errors()
                        ->add('port', "{$port->name} is not a port of the host that {$station->name} is at. Choose one of its own.");
                }
            },
        ];
    }

    /** @return array{name: string, kind: string, path: string|null, reader_id: int, port_id: int} */
    public function columns(): array
    {
        $isSimulated = $this->string('kind')->value() === SlotKind::Simulated->value;

        return [
            'name' => trim($this->string('name')->value()),
            'kind' => $this->string('kind')->value(),
            'path' => $isSimulated ? null : $this->string('path')->value(),
            'reader_id' => $this->integer('reader'),
            'port_id' => $this->integer('port'),
        ];
    }
}
