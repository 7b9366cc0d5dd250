<script setup lang="ts">
import AgencyWide from './AgencyWide.vue'
import MailWording from './MailWording.vue'
import Sessions from './Sessions.vue'
import SignIns from './SignIns.vue'
import ChangePassword from './ChangePassword.vue'
import { useSession } from '../../stores/session'

const session = useSession()
const roles = { owner: 'owner', member: 'member' }
</script>

<template>
  <div class="grid gap-x-9 gap-y-8 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)_minmax(0,320px)] lg:px-8">
    <div class="min-w-0">
      <h1 class="text-[31px] leading-[1.15] font-bold">Your account</h1>
      <p class="mt-3 leading-[1.45] break-words text-soft">
        <b class="text-ink">{{ session.person?.name }}</b><br />{{ session.person?.email }}<br />{{
          session.person && roles[session.person.role]
        }}
        of
        {{ session.agency }}
      </p>
    </div>
    <div class="min-w-0 space-y-9">
      <AgencyWide />
      <MailWording />
      <Sessions />
      <SignIns />
    </div>
    <ChangePassword />
  </div>
</template>
