<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { allRead } from '@/shared/api/queries'
import { computed, ref, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { toast } from '@/shared/ui/toasts'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital, METHODS, word } from '@/shared/words'
import CalendarSection from './CalendarSection.vue'
import HouseRules from './HouseRules.vue'
import LeafSection from './LeafSection.vue'
import People from './People.vue'
import PlaceForm from './PlaceForm.vue'
import PriceSection from './PriceSection.vue'
import ProfileForm from './ProfileForm.vue'
import RecipeForm from './RecipeForm.vue'
import SiteForm from './SiteForm.vue'
import SuppliesSection from './SuppliesSection.vue'
import WeatherSection from './WeatherSection.vue'
import { allPlaces, allRecipes, allSpecies } from '@/shared/api/nursery'
import { nurserySite } from '@/shared/api/house'

/** How do we do it here? */
const { t } = useI18n()
const session = useSession()
const queries = useQueryClient()
const site = useQuery(nurserySite)
const places = useQuery(allPlaces)
const recipes = useQuery(allRecipes)
const species = useQuery(allSpecies)
const place = ref<Schemas['PlaceView'] | 'new' | null>(null)
const recipe = ref<Schemas['RecipeView'] | 'new' | null>(null)
const profile = ref<Schemas['SpeciesView'] | 'new' | null>(null)
const filter = ref('')
const shownSpecies = computed(() =>
  (species.data.value ?? []).filter((one) =>
    `${one.profile.common} ${one.profile.botanical}`
      .toLowerCase()
      .includes(filter.value.trim().toLowerCase()),
  ),
)
const shift = (c: number) => `${c >= 0 ? '+' : ''}${show(c, 'temperatureShift', session.units)}`
const FROSTS: Record<string, string> = {
  SITE: 'the site’s frosts',
  NONE: 'frost-free',
  OWN: 'its own frosts',
}
const PARTS = computed(() => [
  ['site-title', 'Site'],
  ['places-title', 'Places'],
  ['weather-title', 'Weather'],
  ['leaves-title', t('leaves.title')],
  ['recipes-title', 'Recipes'],
  ['supplies-title', 'Supplies'],
  ['rules-title', 'House rules'],
  ['prices-title', 'Prices'],
  ['calendar-title', 'Your calendar'],
  ...(session.isOwner ? [['people-title', 'People']] : []),
  ['species-title', 'Species'],
])
const EXPOSURE: Record<string, string> = { SHADE: 'shade', PART: 'part sun', FULL: 'full sun' }
const lower = (code: string) => code.toLowerCase().replaceAll('_', ' ')

/** A form closes when what it would begin with the next time is there; another that was opened meanwhile stays. */
async function saved(form: Ref<unknown> | null): Promise<void> {
  const was = form?.value
  await allRead(queries)
  if (form && form.value === was) form.value = null
  toast('Saved. The dates of all live layers follow it.')
}
const placeSaved = () => saved(place)
const recipeSaved = () => saved(recipe)
const profileSaved = () => saved(profile)
const houseSaved = () => saved(null)
</script>

<template>
  <h1 class="text-2xl">House</h1>
  <p v-if="!session.isOwner" class="mt-1 text-muted">Only an owner can change what stands here.</p>
  <nav aria-label="On this page" class="mt-2 flex flex-wrap gap-x-4">
    <a
      v-for="[id, text] in PARTS"
      :key="id"
      class="link inline-flex min-h-10 items-center"
      :href="`#${id}`"
      >{{ text }}</a
    >
    <RouterLink class="link inline-flex min-h-10 items-center font-bold" :to="{ name: 'records' }"
      >Records in and out</RouterLink
    >
  </nav>
  <ProblemNote :problem="site.error.value" @retry="site.refetch()" />

  <section class="mt-4" aria-labelledby="site-title">
    <h2 id="site-title" class="border-b-2 border-ink pb-1 text-lg">Site</h2>
    <p v-if="site.data.value === null" class="panel mt-3">
      Begin here: where the nursery lies decides every date. Type the means of your nearest weather station.
    </p>
    <SiteForm
      v-if="site.data.value !== undefined"
      :key="site.data.value?.version ?? -1"
      :site="site.data.value"
      :locked="!session.isOwner"
      @saved="houseSaved"
    />
  </section>

  <section class="mt-8" aria-labelledby="places-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="places-title" class="text-lg">Places, in walking order</h2>
      <button v-if="session.isOwner && site.data.value" class="btn" @click="place = 'new'">
        Add a place
      </button>
    </div>
    <PlaceForm
      v-if="place"
      :key="place === 'new' ? 'new' : place.name"
      class="mt-3"
      :place="place === 'new' ? null : place"
      :next-order="(places.data.value?.length ?? 0) + 1"
      @saved="placeSaved"
      @close="place = null"
    />
    <p v-if="places.data.value && !places.data.value.length" class="mt-3 text-muted">No place yet.</p>
    <ul>
      <li
        v-for="one in places.data.value"
        :key="one.name"
        class="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-3 border-b border-line sm:grid-cols-[12rem_1fr_auto]"
      >
        <b>{{ one.name }}</b>
        <span class="col-span-2 text-muted sm:col-span-1">
          {{ EXPOSURE[one.exposure] }}, {{ FROSTS[one.frosts] }}; nights {{ shift(one.minShiftC) }}, days
          {{ shift(one.maxShiftC) }}; winters down to {{ show(one.winterLowC, 'temperature', session.units) }}
        </span>
        <button
          v-if="session.isOwner"
          class="link min-h-12"
          :aria-label="`Edit ${one.name}`"
          @click="place = one"
        >
          Edit
        </button>
      </li>
    </ul>
  </section>

  <WeatherSection v-if="site.data.value" class="mt-8" :today="session.today" @saved="houseSaved" />

  <LeafSection v-if="site.data.value" class="mt-8" />

  <section class="mt-8" aria-labelledby="recipes-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="recipes-title" class="text-lg">Recipes</h2>
      <button v-if="session.isOwner" class="btn" @click="recipe = 'new'">Add a recipe</button>
    </div>
    <RecipeForm
      v-if="recipe"
      :key="recipe === 'new' ? 'new' : recipe.name"
      class="mt-3"
      :recipe="recipe === 'new' ? null : recipe"
      @saved="recipeSaved"
      @close="recipe = null"
    />
    <p v-if="recipes.data.value && !recipes.data.value.length" class="mt-3 text-muted">No recipe yet.</p>
    <ul>
      <li
        v-for="one in recipes.data.value"
        :key="one.name"
        class="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-3 border-b border-line sm:grid-cols-[12rem_1fr_auto]"
      >
        <b>{{ one.name }}</b>
        <span class="col-span-2 text-muted sm:col-span-1">
          {{ word(METHODS, one.recipe.method) }}, {{ lower(one.recipe.wound) }},
          {{ one.recipe.hormonePpm ? `${one.recipe.hormonePpm} ppm` : 'no hormone' }},
          {{ lower(one.recipe.medium) }}, {{ lower(one.recipe.wrap) }}, {{ lower(one.recipe.cover) }}; severed
          {{ lower(one.school) }} · version {{ one.number }}
        </span>
        <button
          v-if="session.isOwner"
          class="link min-h-12"
          :aria-label="`Edit ${one.name}`"
          @click="recipe = one"
        >
          Edit
        </button>
      </li>
    </ul>
  </section>

  <SuppliesSection />
  <HouseRules class="mt-8" :locked="!session.isOwner" @saved="houseSaved" />

  <PriceSection />

  <CalendarSection />
  <People v-if="session.isOwner" class="mt-8" />

  <section class="mt-8" aria-labelledby="species-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="species-title" class="text-lg">Species profiles</h2>
      <button v-if="session.isOwner" class="btn" @click="profile = 'new'">Add a species</button>
    </div>
    <ProfileForm
      v-if="profile"
      :key="profile === 'new' ? 'new' : profile.profile.code"
      class="mt-3"
      :species="profile === 'new' ? null : profile"
      @saved="profileSaved"
      @close="profile = null"
    />
    <input
      v-model="filter"
      type="search"
      class="input my-3 max-w-sm"
      aria-label="Find a species"
      placeholder="Find a species"
    />
    <ul>
      <li
        v-for="one in shownSpecies"
        :key="one.profile.code"
        class="grid min-h-12 grid-cols-[1fr_auto] items-center gap-x-3 border-b border-line sm:grid-cols-[18rem_1fr_auto]"
      >
        <span
          ><b>{{ capital(one.profile.common) }}</b>
          <span class="ml-2 text-muted">{{ one.profile.botanical }}</span></span
        >
        <span class="col-span-2 text-muted sm:col-span-1">
          {{ capital(lower(one.profile.difficulty)) }}, {{ one.profile.d50ThermalDays }} thermal days, own
          roots {{ lower(one.profile.ownRoots)
          }}<template v-if="one.origin === 'CHANGED'"> · changed here</template
          ><template v-else-if="one.origin === 'ADDED'"> · your own</template>
        </span>
        <button
          v-if="session.isOwner"
          class="link min-h-12"
          :aria-label="`Edit ${one.profile.common}`"
          @click="profile = one"
        >
          Edit
        </button>
      </li>
    </ul>
  </section>
</template>
